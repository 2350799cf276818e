// What the shot is wanted for: its light, how often it is flown, what is delivered of it, and what is recorded of its sound.

import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Pick } from '~/kit/Pick';
import { TextLine } from '~/kit/TextLine';
import { useSession } from '~/shell/session';

export const NO_BRIEF: Schemas['Brief'] = {
  purpose: '',
  light: { side: 'any', hour: 'any' },
  passes: 4,
  must: false,
  delivered_px: 1920,
  use_s: 6,
  sound: '',
  hidden: null,
};

type Props = {
  brief: Schemas['Brief'];
  /** What stands on the site, as layers of the picture. */
  things: { id?: string; name: string }[];
  onChange: (brief: Schemas['Brief']) => void;
};

const OPEN = 'as the picture has it';

/** So many things of a site are offered as layers. */
const MOST = 40;

export function BriefCard({ brief, things, onChange }: Props) {
  const { units } = useSession();
  const put = (change: Partial<Schemas['Brief']>) => onChange({ ...brief, ...change });
  return (
    <Card className="p-3 grid gap-3" label="What it is for">
      <h2>What it is for</h2>
      <TextLine label="Purpose" value={brief.purpose} onChange={(purpose) => put({ purpose })} />
      <Choice
        label="Light from"
        value={brief.light.side}
        onChange={(side) => put({ light: { ...brief.light, side } })}
        options={[
          { value: 'any', label: 'Any' },
          { value: 'front', label: 'Front' },
          { value: 'side', label: 'Side' },
          { value: 'back', label: 'Back' },
        ]}
      />
      <Choice
        label="Hour"
        value={brief.light.hour}
        onChange={(hour) => put({ light: { ...brief.light, hour } })}
        options={[
          { value: 'any', label: 'Any' },
          { value: 'day', label: 'Day' },
          { value: 'golden', label: 'Golden' },
          { value: 'blue', label: 'Blue' },
        ]}
      />
      <Choice
        label="For the day"
        value={brief.must ? 'must' : 'wish'}
        onChange={(value) => put({ must: value === 'must' })}
        options={[
          { value: 'must', label: 'A must' },
          { value: 'wish', label: 'A wish' },
        ]}
      />
      <Dial
        label="Passes"
        value={brief.passes}
        unit=""
        least={1}
        most={10}
        step={1}
        places={0}
        units={units}
        onChange={(passes) => put({ passes: Math.round(passes) })}
      />
      <Dial
        label="The cut uses"
        value={brief.use_s}
        unit="s"
        least={2}
        most={20}
        step={0.5}
        units={units}
        onChange={(use_s) => put({ use_s })}
      />
      <Pick
        label="Delivered width"
        value={String(brief.delivered_px)}
        onChange={(value) => put({ delivered_px: Number(value) })}
        options={[...new Set([1280, 1920, 2560, 3840, brief.delivered_px])]
          .sort((a, b) => a - b)
          .map((px) => ({ value: String(px), label: `${px} pixels` }))}
      />
      <LayerPick
        label="Depth from, near"
        open="The nearest in the picture"
        now={brief.layers?.near ?? null}
        things={things}
        onChange={(near) => put({ layers: { ...brief.layers, near } })}
      />
      {brief.layers?.near !== 'none' && (
        <LayerPick
          label="Depth to, far"
          open="The farthest in the picture"
          now={brief.layers?.far ?? null}
          things={things}
          onChange={(far) => put({ layers: { ...brief.layers, far } })}
        />
      )}
      <TextLine
        label="Sound to record on the ground"
        value={brief.sound}
        onChange={(sound) => put({ sound })}
      />
      {brief.sound !== '' && (
        <Choice
          label="When it is recorded"
          value={brief.sound_when ?? ''}
          onChange={(when) => put({ sound_when: when as 'before' | 'during' | 'after' })}
          options={[
            { value: 'before', label: 'Before' },
            { value: 'during', label: 'With the take' },
            { value: 'after', label: 'After' },
          ]}
        />
      )}
    </Card>
  );
}

type LayerProps = {
  label: string;
  open: string;
  now: string | null;
  things: Props['things'];
  onChange: (id: string | null) => void;
};

/** One of the two layers that depth is told of; none is a choice, where emptiness is the picture. */
function LayerPick({ label, open, now, things, onChange }: LayerProps) {
  return (
    <Pick
      label={label}
      value={now ?? OPEN}
      onChange={(value) => onChange(value === OPEN ? null : value)}
      options={[
        { value: OPEN, label: open },
        { value: 'none', label: 'None: emptiness' },
        { value: 'ground', label: 'The ground below' },
        { value: 'horizon', label: 'The horizon' },
        ...things
          .flatMap((thing) => (thing.id ? [{ value: thing.id, label: thing.name }] : []))
          .slice(0, MOST),
      ]}
    />
  );
}
