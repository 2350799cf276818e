// How the operator holds the controller, and how fine a hand that makes: a part of every version, since a nudge means nothing
// without it.

import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { figure } from '~/units';
import type { RigDraft } from './useRigDraft';

type Props = { draft: RigDraft; hands: Schemas['HandsReading'] };

export function HandsCard({ draft, hands }: Props) {
  const { units } = useSession();
  const put = (next: Partial<Schemas['RigHands']>) =>
    draft.change((settings) => ({
      ...settings,
      hands: {
        stick_mode: hands.stick_mode,
        wheel_up: hands.wheel_up as Schemas['RigHands']['wheel_up'],
        grip: hands.grip as Schemas['RigHands']['grip'],
        stick_mm: hands.stick_mm,
        touch: hands.touch as Schemas['RigHands']['touch'],
        ...settings.hands,
        ...next,
      },
    }));
  return (
    <Card caption="Hands" aside={draft.rig.operator ?? 'the school’s'}>
      <div className="px-3 pb-3 grid gap-2">
        <Choice
          label="Stick mode"
          value={String(hands.stick_mode)}
          onChange={(mode) => put({ stick_mode: Number(mode) })}
          options={['1', '2', '3', '4'].map((mode) => ({ value: mode, label: mode }))}
        />
        <Choice
          label="Wheel for up"
          value={hands.wheel_up}
          onChange={(wheel) => put({ wheel_up: wheel as 'push' | 'pull' })}
          options={[
            { value: 'push', label: 'Push' },
            { value: 'pull', label: 'Pull' },
          ]}
        />
        <Pick
          label="Grip"
          value={hands.grip}
          onChange={(grip) => put({ grip: grip as Schemas['RigHands']['grip'] })}
          options={[
            { value: 'thumbs', label: 'Thumbs on top' },
            { value: 'pinch', label: 'Pinched between finger and thumb' },
            { value: 'one-finger', label: 'One finger from the side, in the cold' },
          ]}
        />
        <Choice
          label="Touch on the wheel"
          value={hands.touch}
          onChange={(touch) => put({ touch: touch as Schemas['RigHands']['touch'] })}
          options={[
            { value: 'firm', label: 'Firm' },
            { value: 'feather', label: 'Feather' },
          ]}
        />
        <Dial
          label="Stick, pivot to tip"
          value={hands.stick_mm}
          unit="mm"
          least={8}
          most={45}
          step={0.5}
          units={units}
          onChange={(stick_mm) => put({ stick_mm })}
        />
        <p className="m-0 text-sm text-ink-soft">
          A millimetre at the tip is {figure(100 * hands.per_mm, 1)} % of the travel, a degree of lean{' '}
          {figure(100 * hands.per_degree, 1)} %; from the middle to the stop the tip goes{' '}
          {figure(hands.reach_mm, 1)} mm: no longer a stick than you reach to its stop without shifting the
          grip. Your fingers tremble by {figure(100 * hands.tremble, 1)} %{' '}
          {hands.measured
            ? '(measured in your own takes)'
            : '(assumed for this grip and stick; your takes with stick columns will tell)'}
          , so a nudge of {figure(100 * hands.nudge, 1)} % can be relied on.
        </p>
      </div>
    </Card>
  );
}
