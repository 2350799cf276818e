// What a mode can begin with: a set of one house of thought, another mode, or the curve of one finger on all. Nothing is kept until it is.
import { useState } from 'react';
import { useStartingSets } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Pick } from '~/kit/Pick';
import { type Finger, type Mode, type RigDraft, withMode } from './useRigDraft';

const MODES: { value: Mode; label: string }[] = [
  { value: 'slow', label: 'Slow mode' },
  { value: 'standard', label: 'Standard mode' },
  { value: 'fast', label: 'Fast mode' },
];

const FINGERS: Finger[] = ['climb', 'turn', 'run', 'slide', 'tilt'];

export function BeginWith({ draft }: { draft: RigDraft }) {
  const sets = useStartingSets(draft.rig.id);
  const [chosen, setChosen] = useState('');
  const set = sets.data?.find((one) => one.id === chosen);
  const others = MODES.filter((one) => one.value !== draft.mode);
  return (
    <Card caption="Begin with">
      <div className="px-3 pb-3 grid gap-2">
        <Pick
          label="A set to begin with"
          value={chosen}
          onChange={setChosen}
          options={(sets.data ?? []).map((one) => ({
            value: one.id,
            label: one.name,
            group: one.house_words,
          }))}
        />
        {set && (
          <>
            <p className="m-0 text-sm">{set.why}</p>
            <p className="m-0 text-sm text-ink-soft">
              Common practice of that house, no published source; cut to what this craft gives.
            </p>
            <Button onClick={() => draft.change((now) => ({ ...now, modes: set.settings.modes }))}>
              Lay it over all three modes
            </Button>
          </>
        )}
        <div className="flex flex-wrap gap-2">
          {others.map((one) => (
            <Button
              key={one.value}
              onClick={() =>
                draft.change((now) => withMode(now, draft.mode, () => structuredClone(now.modes[one.value])))
              }
            >
              As in {one.label.toLowerCase()}
            </Button>
          ))}
        </div>
        <Pick
          label="One curve on every finger: that of"
          value=""
          onChange={(from) =>
            draft.change((now) =>
              withMode(now, draft.mode, (mode) => ({
                ...mode,
                curves: Object.fromEntries(
                  FINGERS.map((finger) => [finger, structuredClone(mode.curves[from as Finger])]),
                ) as typeof mode.curves,
              })),
            )
          }
          options={FINGERS.map((finger) => ({ value: finger, label: finger }))}
        />
      </div>
    </Card>
  );
}
