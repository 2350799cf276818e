// A move that the craft flies by itself: what it does, the steps in order, and the move that shows the same by hand.
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Sheet } from '~/kit/Sheet';

type Props = {
  move: Schemas['MachineMove'] | undefined;
  onClose: () => void;
  onChoose: (id: string) => void;
};

export function ByItself({ move, onClose, onChoose }: Props) {
  return (
    <Sheet open={move !== undefined} onClose={onClose} title={move?.name ?? ''}>
      {move && (
        <div className="grid gap-3">
          <p className="m-0 font-semibold">Flown by the craft. Larkspur neither plans nor judges it.</p>
          <p className="m-0">{move.does}</p>
          <ol className="m-0 pl-5 grid gap-1.5 list-decimal">
            {move.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p className="m-0 text-sm text-ink-soft">
            What each craft asks for differs: its manual and your local rules come first.
          </p>
          <Button
            onClick={() => {
              onClose();
              onChoose(move.by_hand);
            }}
          >
            By hand: {move.by_hand_name}
          </Button>
        </div>
      )}
    </Sheet>
  );
}
