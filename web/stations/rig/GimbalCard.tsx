// How the gimbal is switched, and what the craft does before an obstacle: small switches of a craft's own menu that decide whether a
// planned shot can be flown, and whether its horizon stands.
import type { Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { NumberInput } from '~/kit/NumberInput';
import { useSession } from '~/shell/session';
import { type RigDraft, withMode } from './useRigDraft';

type Switches = Schemas['RigSwitches'] & { upward: boolean; free: boolean };
type Response = NonNullable<Schemas['RigModeSettings']['obstacles']>;

/** As most craft are once somebody has looked: nothing is kept until one of them is touched. */
const AS_FOUND: Switches = { upward: true, free: false };

const WHY: Record<Response, string> = {
  stop: 'It stops before what it senses: the take ends, the craft is whole. The commoner choice.',
  round: 'It goes round by itself: the way that was planned is no longer flown.',
  off: 'It does nothing: said aloud before every take, somebody watching, no novice at the sticks.',
};

export function GimbalCard({ draft }: { draft: RigDraft }) {
  const { units } = useSession();
  const now: Switches = { ...AS_FOUND, ...draft.settings.gimbal };
  const put = (next: Partial<Switches>) =>
    draft.change((settings) => ({ ...settings, gimbal: { ...now, ...next } }));
  const response = draft.settings.modes[draft.mode].obstacles;
  const fixed = draft.rig.kind === 'ducted';
  return (
    <Card caption={fixed ? 'Obstacles' : 'Gimbal and obstacles'}>
      <div className="px-3 pb-3 grid gap-3">
        {!fixed && (
          <>
            <Choice
              label="Above the horizon"
              value={now.upward ? 'on' : 'off'}
              onChange={(value) => put({ upward: value === 'on' })}
              options={[
                { value: 'on', label: 'Let look up' },
                { value: 'off', label: 'Level at most' },
              ]}
            />
            <Choice
              label="When the craft leans"
              value={now.free ? 'free' : 'follow'}
              onChange={(value) => put({ free: value === 'free' })}
              options={[
                { value: 'follow', label: 'Keeps the horizon' },
                { value: 'free', label: 'Rolls with the craft' },
              ]}
            />
            <div className="grid grid-cols-[1fr_auto] gap-x-3 items-center">
              <span>Horizon off level, hanging still</span>
              <NumberInput
                label="Horizon off level"
                value={now.level_offset_deg ?? 0}
                unit="deg"
                units={units}
                limits={LIMITS.rig['gimbal.level_offset_deg']}
                onChange={(level_offset_deg) => put({ level_offset_deg })}
              />
            </div>
            <p className="m-0 text-sm text-ink-soft">
              {now.level_offset_deg === undefined
                ? 'Most hang a little off level: hover, look at the grid, write it down. Until then the crop is reckoned with one degree.'
                : now.level_offset_deg === 0
                  ? 'It hangs level: no crop is spent on it.'
                  : 'Every shot’s crop is reckoned with it. Calibrate the gimbal on level ground before the next day, as the maker says, then look again.'}
            </p>
            {now.level_offset_deg !== 0 && (
              <Button onClick={() => put({ level_offset_deg: 0 })}>I looked: it hangs level</Button>
            )}
          </>
        )}
        <Choice
          label={`Before an obstacle, in ${draft.mode} mode`}
          value={response ?? ''}
          onChange={(obstacles) =>
            draft.change((settings) =>
              withMode(settings, draft.mode, (mode) => ({ ...mode, obstacles: obstacles as Response })),
            )
          }
          options={[
            { value: 'stop', label: 'Stop' },
            { value: 'round', label: 'Go round' },
            { value: 'off', label: 'Off' },
          ]}
        />
        <p className="m-0 text-sm text-ink-soft">
          {response === undefined ? 'Nobody has said yet what it is set to.' : WHY[response]}
        </p>
      </div>
    </Card>
  );
}
