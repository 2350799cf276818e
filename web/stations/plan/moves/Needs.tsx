// What leads to a move and what follows from it: how far one is with each, by one's own ladder, and what is wanting.
import type { Schemas } from '~/api/client';
import { useLadder } from '~/api/queries';
import { Card } from '~/kit/Card';
import { StepPetal } from '~/pictures/StepPetal';
import { useSession } from '~/shell/session';

type Props = { move: Schemas['Move']; moves: Schemas['Move'][]; onChoose: (id: string) => void };

export function Needs({ move, moves, onChoose }: Props) {
  const { seesClass, whose } = useSession();
  // A trainer who looks at nobody's work has no ladder of their own.
  const asks = !seesClass || whose !== undefined;
  const ladder = useLadder(whose, asks);
  const stepOf = (id: string) =>
    ladder.data?.steps.find((step) => step.moves.some((one) => one.id === id)) ?? null;
  const own = stepOf(move.id);
  const next = moves.filter((one) => one.needs.includes(move.id));
  const names = (ids: string[]) =>
    ids.map((id) => (
      <li key={id} className="flex items-center gap-2">
        {stepOf(id) && <StepPetal state={stepOf(id)?.state ?? 'open'} share={stepOf(id)?.share ?? 0} />}
        <button
          type="button"
          className="min-h-9 text-larkspur font-semibold underline cursor-pointer bg-transparent text-left"
          onClick={() => onChoose(id)}
        >
          {moves.find((item) => item.id === id)?.name ?? id}
        </button>
        {stepOf(id) && <span className="text-ink-soft">{stepOf(id)?.state_name}</span>}
      </li>
    ));
  return (
    <Card className="p-3 grid gap-1 text-sm">
      <h2>Clean in these first</h2>
      {move.needs.length === 0 ? (
        <p className="m-0 text-ink-soft">Nothing: this is where one begins.</p>
      ) : (
        <ul className="m-0 p-0 list-none">{names(move.needs)}</ul>
      )}
      {own && (
        <div data-role="own-step">
          <p className="m-0">
            This one: level {move.level}, {own.state_name}.
          </p>
          {own.missing.length > 0 && <p className="m-0 text-ink-soft">{own.missing.join(' ')}</p>}
        </div>
      )}
      {next.length > 0 && (
        <>
          <h3 className="m-0 mt-1 text-sm">Then</h3>
          <ul className="m-0 p-0 list-none">{names(next.map((one) => one.id))}</ul>
        </>
      )}
    </Card>
  );
}
