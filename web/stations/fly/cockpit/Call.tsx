// The spotter calls an aircraft: what does one do? The answer is kept with the take.
import { Button } from '~/kit/Button';

export function Call({ onAnswer }: { onAnswer: (action: 'descend' | 'return' | 'hold') => void }) {
  return (
    <div
      role="alertdialog"
      aria-label="Aircraft"
      className="absolute top-4 left-1/2 -translate-x-1/2 grid gap-2 p-4 rounded-md border-2 border-brick bg-card"
    >
      <strong>Your spotter calls: “Aircraft!”</strong>
      <span className="text-sm">
        Down first, the picture is worth nothing now. Say what you do, and do it.
      </span>
      <div className="flex flex-wrap gap-2">
        <Button primary onClick={() => onAnswer('descend')}>
          I come down here
        </Button>
        <Button onClick={() => onAnswer('return')}>It comes home</Button>
        <Button onClick={() => onAnswer('hold')}>I finish the shot</Button>
      </div>
    </div>
  );
}
