// Play and hold, the moment on a slider, and its clock: whoever takes the slider holds the clock.
import { clock } from '~/units';
import { Button } from './Button';

type Props = {
  label: string;
  from: number;
  to: number;
  time: number;
  playing: boolean;
  onPlaying: (playing: boolean) => void;
  onTime: (time: number) => void;
};

export function Transport({ label, from, to, time, playing, onPlaying, onTime }: Props) {
  return (
    <div className="flex gap-3 items-center">
      <Button onClick={() => onPlaying(!playing)}>{playing ? 'Hold' : 'Play'}</Button>
      <input
        type="range"
        aria-label={label}
        className="grow min-w-0 h-6 accent-larkspur"
        min={from}
        max={to}
        step={0.1}
        value={time}
        onChange={(event) => {
          onPlaying(false);
          onTime(Number(event.target.value));
        }}
      />
      <span className="figure">{clock(time)}</span>
    </div>
  );
}
