// Words of the trade that mean several things: each with its meanings, and the one in which Larkspur uses it.
import { useGlossary } from '~/api/queries';
import { Notice } from '~/kit/Notice';
import { Sheet } from '~/kit/Sheet';
import { Skeleton } from '~/kit/Skeleton';

export function Words({ open, onClose }: { open: boolean; onClose: () => void }) {
  const words = useGlossary(open);
  return (
    <Sheet open={open} onClose={onClose} title="Words that mean several things">
      {words.error && <Notice error={words.error} />}
      {!words.data && !words.error && <Skeleton className="h-64" />}
      <dl className="m-0 grid gap-3 text-sm">
        {words.data?.map((item) => (
          <div key={item.word}>
            <dt className="font-semibold text-base">{item.word}</dt>
            <dd className="m-0">
              <ol className="m-0 pl-5">
                {item.meanings.map((meaning) => (
                  <li key={meaning}>{meaning}</li>
                ))}
              </ol>
              <span className="text-larkspur">Here: {item.ours}</span>
            </dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
