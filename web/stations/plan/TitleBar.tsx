// The head of a worksheet: what the shot is called, what it comes to, and what can be done with it.
import { Link } from 'react-router';
import { Button, buttonLook } from '~/kit/Button';
import { PlanNav } from './PlanNav';

type Props = {
  title: string;
  /** What it is called while nobody calls it anything. */
  suggested: string;
  onTitle: (title: string) => void;
  said: string;
  shot: number | null;
  site: number;
  move: string;
  onOpposite: (() => void) | undefined;
  onKeep: () => void;
  onFly: () => void;
  waits: boolean;
};

export function TitleBar(props: Props) {
  const { title, suggested, onTitle, said, shot, site, move, onOpposite, onKeep, onFly, waits } = props;
  return (
    <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
      <div className="min-w-0 grow">
        <input
          aria-label="Title of the shot"
          className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink placeholder:text-ink"
          value={title}
          placeholder={suggested}
          onChange={(event) => onTitle(event.target.value)}
        />
        <p className="m-0 text-sm text-ink-soft min-h-5">{said}</p>
      </div>
      <div className="flex flex-wrap gap-2">
        <PlanNav now="shot" shot={shot} site={site} />
        <Link className={buttonLook()} to={`/plan/moves/${move}`}>
          All moves
        </Link>
        {onOpposite && <Button onClick={onOpposite}>Other way round</Button>}
        <Button onClick={onKeep} disabled={waits}>
          Keep
        </Button>
        <Button primary onClick={onFly} disabled={waits}>
          Fly it
        </Button>
      </div>
    </div>
  );
}
