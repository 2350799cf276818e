// The other takes of the same shot, the best first, and in words why it is the best.
import { Link } from 'react-router';
import type { Schemas } from '~/api/client';
import { useComparison } from '~/api/queries';
import { Card } from '~/kit/Card';
import { PetalMark } from '~/pictures/PetalMark';
import { VERDICTS, verdictColor } from '~/pictures/TakeRow';

export function OtherTakes({ take }: { take: Schemas['TakeDetail'] }) {
  const comparison = useComparison(take.shot_id);
  if (!comparison.data || comparison.data.takes.length < 2) return null;
  return (
    <Card className="p-3 grid gap-1 text-sm">
      <h2>Against your other takes of it</h2>
      <p className="m-0">{comparison.data.reason}</p>
      <ol className="m-0 p-0 list-none">
        {comparison.data.takes.slice(0, 6).map(({ name, take: other }) => (
          <li key={other.id} className="border-t border-line">
            <Link
              to={`/debrief/${other.id}`}
              aria-current={other.id === take.id ? 'page' : undefined}
              className={`grid grid-cols-[28px_1fr_auto_auto] gap-2 items-center min-h-11 no-underline text-ink ${other.id === take.id ? 'font-semibold' : ''}`}
            >
              <PetalMark facets={other.facets} score={other.score} size={24} />
              <span>
                {name}
                {other.id === take.id ? ', this one' : ''}
                {other.automated ? ', automated' : ''}
              </span>
              <span className={verdictColor(other.verdict)}>{VERDICTS[other.verdict]}</span>
              <span className="figure">{Math.round(other.score)}</span>
            </Link>
          </li>
        ))}
      </ol>
    </Card>
  );
}
