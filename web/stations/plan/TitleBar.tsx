// The head of a worksheet: what the shot is called, what it comes to, and what can be done with it.
import { Redo2, Undo2 } from 'lucide-react';
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
  onUndo: (() => void) | null;
  onRedo: (() => void) | null;
  onKeep: () => void;
  onFly: () => void;
  waits: boolean;
  /** Whether it is kept, and since when. */
  kept: string;
};

export function TitleBar(props: Props) {
  const { title, suggested, onTitle, said, shot, site, move, waits, kept } = props;
  const { onOpposite, onUndo, onRedo, onKeep, onFly } = props;
  return (
    <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
      <div className="min-w-0 grow basis-72">
        <input
          aria-label="Title of the shot"
          className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink placeholder:text-ink"
          value={title}
          placeholder={suggested}
          onChange={(event) => onTitle(event.target.value)}
        />
        <p className="m-0 text-sm text-ink-soft min-h-10">
          {said}
          <span role="status" className="whitespace-nowrap ml-1">
            {kept}
          </span>
        </p>
      </div>
      <div className="flex flex-wrap gap-2">
        <PlanNav now="shot" shot={shot} site={site} />
        <Link className={buttonLook()} to={`/plan/moves/${move}`}>
          Moves
        </Link>
        <Button
          className="px-3! min-w-11"
          aria-label="Undo"
          disabled={onUndo === null}
          onClick={() => onUndo?.()}
        >
          <Undo2 aria-hidden size={16} />
        </Button>
        <Button
          className="px-3! min-w-11"
          aria-label="Do again"
          disabled={onRedo === null}
          onClick={() => onRedo?.()}
        >
          <Redo2 aria-hidden size={16} />
        </Button>
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
