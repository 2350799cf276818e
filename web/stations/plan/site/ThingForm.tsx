// What is chosen on the board, in numbers: name, job, size, height. Which numbers depends on what it is.

import { Trash2 } from 'lucide-react';
import { LIMITS } from '~/api/limits';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { NumberRow } from '~/kit/NumberRow';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';
import {
  type Chosen,
  changed,
  cornerAdded,
  type Drawing,
  firstWay,
  pointsOf,
  removed,
  standing,
  thingAt,
  wayLed,
} from './drawing';
import { WayForm } from './WayForm';

type Props = {
  drawing: Drawing;
  chosen: Chosen;
  /** How high the ground lies where it stands, m; null where that is not known. */
  ground: number | null;
  onDone: (next: Drawing) => void;
  onChoose: (chosen: Chosen | null) => void;
};

/** What each thing does for the plan: nothing is drawn that is not used. */
const JOB: Record<string, string> = {
  box: 'Hides, and is kept clear of.',
  cylinder: 'Hides, and is kept clear of.',
  polygon: 'Hides, and is kept clear of.',
  canopy: 'Hides what is behind its crowns; under them the view is free. Moves by itself in the picture.',
  wire: 'Hides nothing, and is kept twice as clear of. Counts for the return height.',
  people: 'Keeps every path away.',
  water: 'Blinds the sensors: flown higher, and by eye. Moves by itself in the picture.',
  boundary: 'No path crosses it, nor the way home.',
  observers: 'Sees the craft where you can’t.',
  subjects: 'Is filmed: shots are planned on it.',
  spots: 'Says how the ground lies: heights above ground and the ceiling follow.',
};

export function ThingForm({ drawing, chosen, ground, onDone, onChoose }: Props) {
  const { units } = useSession();
  const thing = thingAt(drawing, chosen);
  if (thing === undefined) return null;
  const put = (change: Record<string, unknown>) => onDone(changed(drawing, chosen, change));
  const kind = 'shape' in thing ? thing.shape : 'kind' in thing ? thing.kind : chosen.list;
  const numbers = thing as Partial<Record<string, number>>;
  const number = (id: string, label: string, unit = 'm', places = 1) =>
    typeof numbers[id] === 'number' || id === 'sag_m' || id === 'clear_m' ? (
      <NumberRow
        key={id}
        label={label}
        value={numbers[id] ?? 0}
        unit={unit}
        units={units}
        places={places}
        limits={
          LIMITS.site[
            `${'shape' in thing ? 'solids' : chosen.list === 'spots' ? 'ground.spots' : 'observers'}.*.${id}`
          ]
        }
        onChange={(value) => put({ [id]: value })}
      />
    ) : null;
  const solid = 'shape' in thing ? thing : null;
  const points = pointsOf(thing);
  return (
    <Card className="p-3 grid gap-2" label="What is chosen">
      <div className="flex justify-between items-center gap-2">
        <h2>{'name' in thing ? thing.name : 'Spot height'}</h2>
        <button
          type="button"
          aria-label="Take it off the site"
          className="size-11 grid place-items-center rounded-md cursor-pointer text-brick"
          onClick={() => {
            onChoose(null);
            onDone(removed(drawing, chosen));
          }}
        >
          <Trash2 size={18} aria-hidden />
        </button>
      </div>
      <p className="m-0 text-sm text-ink-soft">{JOB[kind]}</p>
      {'name' in thing && (
        <Field
          label="Name"
          value={thing.name}
          maxLength={60}
          onChange={(event) => put({ name: event.target.value })}
        />
      )}
      {solid && kind !== 'wire' && (
        <Choice
          label="It is"
          value={solid.role}
          onChange={(role) => put({ role })}
          options={[
            { value: 'obstacle', label: 'In the way' },
            { value: 'subject', label: 'Filmed' },
          ]}
        />
      )}
      {solid && kind !== 'wire' && (
        <Choice
          label="It moves by itself"
          value={solid.moves === true ? 'yes' : 'no'}
          onChange={(value) => put({ moves: value === 'yes' })}
          options={[
            { value: 'no', label: 'No' },
            { value: 'yes', label: 'Yes' },
          ]}
        />
      )}
      {(points === undefined || 'route' in thing) && number('east_m', 'East of take-off')}
      {(points === undefined || 'route' in thing) && number('north_m', 'North of take-off')}
      {solid &&
        points === undefined &&
        number('width_m', kind === 'cylinder' || kind === 'canopy' ? 'Across' : 'Width')}
      {kind === 'box' && number('length_m', 'Length')}
      {kind === 'box' && number('heading_deg', 'Turned', 'deg', 0)}
      {solid && number('height_m', kind === 'wire' ? 'Height of its supports' : 'Height')}
      {solid && number('base_m', 'Foot above take-off')}
      {kind === 'canopy' && number('clear_m', 'Free beneath')}
      {kind === 'wire' && number('sag_m', 'Hangs through')}
      {chosen.list === 'subjects' && number('up_m', 'Aimed at, above take-off')}
      {chosen.list === 'subjects' && number('base_m', 'Foot above take-off')}
      {'route' in thing && (
        <>
          <Choice
            label="It"
            value={thing.route ? 'goes' : 'stands'}
            onChange={(value) => put({ route: value === 'goes' ? firstWay(thing) : null })}
            options={[
              { value: 'stands', label: 'Stands' },
              { value: 'goes', label: 'Goes a way' },
            ]}
          />
          {thing.route && (
            <WayForm
              way={thing.route}
              units={units}
              onChange={(route) => put({ route })}
              onLed={(on) => onDone(wayLed(drawing, chosen, on))}
            />
          )}
        </>
      )}
      {ground !== null && 'base_m' in thing && Math.abs(thing.base_m - ground) > 0.05 && (
        <div className="grid gap-1">
          <p className="m-0 text-sm text-ink-soft">
            The ground lies {withUnit(ground, 'm', units)} above take-off here.
          </p>
          <Button onClick={() => onDone(standing(drawing, chosen, ground))}>Stand it on the ground</Button>
        </div>
      )}
      {chosen.list === 'spots' && number('up_m', 'Above take-off')}
      {kind === 'boundary' && (
        <Choice
          label="Its ends"
          value={'closed' in thing && thing.closed === true ? 'closed' : 'open'}
          onChange={(value) => put({ closed: value === 'closed' })}
          options={[
            { value: 'open', label: 'Open line' },
            { value: 'closed', label: 'All round' },
          ]}
        />
      )}
      {points !== undefined && !('route' in thing) && (
        <Button onClick={() => onDone(cornerAdded(drawing, chosen, Math.max(0, points.length - 2)))}>
          One corner more
        </Button>
      )}
    </Card>
  );
}
