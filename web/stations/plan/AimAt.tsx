// Where the subject stands in the frame: the mark is pulled to its place, by hand or by arrow keys; near a third or the middle it snaps.
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { SmallFrame } from '~/pictures/FrameStrip';
import { Handle } from '~/pictures/Handle';

type Aim = { x: number; y: number };

type Props = { plan: Schemas['Plan']; aim: Aim | null; onAim: (aim: Aim | null) => void };

const WIDTH = 276;

/** How near a third or the middle draws the mark to it, shares of the frame. */
const NEAR = 0.015;

const LINES = [1 / 3, 1 / 2, 2 / 3];

const STEP = 0.01;

const within = (value: number) => Math.min(0.95, Math.max(0.05, Math.round(1000 * value) / 1000));

const snapped = (value: number) => within(LINES.find((line) => Math.abs(line - value) < NEAR) ?? value);

export function AimAt({ plan, aim, onAim }: Props) {
  const frame = plan.frames[Math.floor(plan.frames.length / 2)];
  if (!plan.holds_subject || frame === undefined) return null;
  const height = WIDTH / plan.camera.aspect;
  const { x, y } = aim ?? { x: 0.5, y: 0.5 };
  const words = `${Math.round(100 * x)} % from the left, ${Math.round(100 * y)} % from the top`;
  return (
    <Card className="p-3 grid gap-2" label="Its place in the frame">
      <h2>Its place in the frame</h2>
      <div className="relative" style={{ width: WIDTH, height }} data-picture="aim">
        <SmallFrame frame={frame} width={WIDTH} height={height} />
        <svg width={WIDTH} height={height} className="absolute inset-0">
          <title>The subject’s place, {words}</title>
          <Handle
            id="aim"
            label="Where the subject stands in the frame"
            x={x * WIDTH}
            y={y * height}
            value={Math.round(100 * x)}
            text={words}
            onPull={(px, py) => onAim({ x: snapped(px / WIDTH), y: snapped(py / height) })}
            onStep={(right, up) => onAim({ x: within(x + STEP * right), y: within(y - STEP * up) })}
          />
        </svg>
      </div>
      <div className="flex justify-between items-center gap-2">
        <p className="m-0 text-sm text-ink-soft">{words}</p>
        {aim !== null && <Button onClick={() => onAim(null)}>To the middle</Button>}
      </div>
    </Card>
  );
}
