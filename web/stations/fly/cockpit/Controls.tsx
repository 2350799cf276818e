// The buttons of a flight, each with its key; in reach of a thumb.
import { Button } from '~/kit/Button';

type Props = {
  phase: string;
  recording: boolean;
  frozen: boolean;
  returning: boolean;
  pace: number;
  looped: boolean;
  onRecord: () => void;
  onStop: () => void;
  onView: () => void;
  onFreeze: () => void;
  onBack: () => void;
  onPace: () => void;
  onHome: () => void;
  onMagnify: () => void;
};

export function Controls(props: Props) {
  const flying = props.phase === 'flying';
  // A press with the pointer leaves the keys to the sticks: space goes on being the record button.
  return (
    <div
      className="flex flex-wrap gap-2"
      onClickCapture={(event) => event.detail > 0 && (document.activeElement as HTMLElement | null)?.blur()}
    >
      <Button primary disabled={!flying || props.looped} onClick={props.onRecord} data-record>
        {props.recording ? 'End recording' : 'Record'} <Key>space</Key>
      </Button>
      <Button disabled={!flying} onClick={props.onStop}>
        Stop <Key>esc</Key>
      </Button>
      <Button onClick={props.onView}>
        View <Key>v</Key>
      </Button>
      <Button disabled={!flying} onClick={props.onFreeze} aria-pressed={props.frozen}>
        {props.frozen ? 'Go on' : 'Freeze'} <Key>p</Key>
      </Button>
      <Button disabled={!flying} onClick={props.onBack}>
        Back 5 s <Key>b</Key>
      </Button>
      <Button disabled={!flying} onClick={props.onPace}>
        {props.pace === 1 ? 'Slower' : `×${props.pace}`} <Key>x</Key>
      </Button>
      <Button disabled={!flying} onClick={props.onHome} aria-pressed={props.returning}>
        {props.returning ? 'Cancel return' : 'Return home'} <Key>r</Key>
      </Button>
      <Button onClick={props.onMagnify}>
        Magnify <Key>z</Key>
      </Button>
    </div>
  );
}

const Key = ({ children }: { children: string }) => (
  <kbd className="figure text-sm font-normal opacity-80 max-md:hidden">{children}</kbd>
);
