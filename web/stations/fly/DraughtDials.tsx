// Air that pushes in one place of a room, as from a vent: where it is, how wide, how strong and which way.
import type { Schemas } from '~/api/client';
import { Dial } from '~/kit/Dial';

export type Draught = NonNullable<Schemas['Conditions']['draught']>;

const DIALS: {
  field: keyof Draught;
  label: string;
  unit: string;
  least: number;
  most: number;
  step: number;
}[] = [
  { field: 'speed_mps', label: 'It pushes with', unit: 'm/s', least: 0, most: 6, step: 0.1 },
  { field: 'toward_deg', label: 'Toward', unit: 'deg', least: 0, most: 359, step: 5 },
  { field: 'radius_m', label: 'Felt within', unit: 'm', least: 0.5, most: 20, step: 0.5 },
  { field: 'east_m', label: 'Its middle, east of take-off', unit: 'm', least: -60, most: 60, step: 0.5 },
  { field: 'north_m', label: 'Its middle, north of take-off', unit: 'm', least: -60, most: 60, step: 0.5 },
];

export function DraughtDials({
  draught,
  onChange,
  units,
}: {
  draught: Draught;
  onChange: (draught: Draught) => void;
  units: 'metric' | 'feet';
}) {
  return DIALS.map(({ field, ...dial }) => (
    <Dial
      key={field}
      {...dial}
      value={draught[field]}
      units={units}
      onChange={(value) =>
        onChange({ ...draught, [field]: Math.min(dial.most, Math.max(dial.least, value)) })
      }
    />
  ));
}
