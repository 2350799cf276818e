// One step of the school's ladder as it is edited: what it is called, what shows it, what is passed before it, what it asks.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { useMoves } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Pick } from '~/kit/Pick';

type Step = Schemas['LadderSheet']['steps'][number];
type Criterion = Step['criterion'];

const FLAGS: [
  keyof Criterion & ('both_ways' | 'slow_too' | 'two_distances' | 'own_word' | 'sign_off'),
  string,
][] = [
  ['both_ways', 'each way round by itself'],
  ['slow_too', 'in the slow mode too'],
  ['two_distances', 'from two distances, or at two paces'],
  ['own_word', 'the operator’s own word'],
  ['sign_off', 'a trainer’s sign-off'],
];

const NEW: Criterion = {
  score: 80,
  facets: {},
  passes: 3,
  of: 4,
  days: 2,
  both_ways: false,
  slow_too: false,
  two_distances: false,
  without: ['ghost', 'ghost-fingers'],
  kind: 'real',
  own_word: true,
  sign_off: false,
};

type Props = {
  step: Step | undefined;
  steps: Step[];
  nameOf: (step: Step) => string;
  onChange: (step: Step) => void;
  onAdd: (step: Step) => void;
  onRemove: (id: string) => void;
};

export function EditStep({ step, steps, nameOf, onChange, onAdd, onRemove }: Props) {
  const moves = useMoves();
  const [added, setAdded] = useState('');
  const add = () => {
    const id = added
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40);
    const free = steps.some((one) => one.id === id) ? `${id}-${steps.length}` : id;
    onAdd({
      id: free === '' ? `step-${steps.length}` : free,
      title: added.trim(),
      moves: [step?.moves[0] ?? 'hover'],
      level: 1,
      needs: [],
      criterion: NEW,
      supervised: false,
    });
    setAdded('');
  };
  return (
    <div className="grid gap-3">
      {step && (
        <Card className="p-4 grid gap-3" label="The step">
          <Field
            label="Called (left empty, its moves name it)"
            value={step.title}
            placeholder={nameOf(step)}
            maxLength={80}
            onChange={(event) => onChange({ ...step, title: event.target.value })}
          />
          <div className="grid gap-1">
            <span className="text-sm">Shown by any of</span>
            <div className="flex flex-wrap gap-1">
              {step.moves.map((move) => (
                <button
                  key={move}
                  type="button"
                  disabled={step.moves.length === 1}
                  aria-label={`Leave out ${moves.data?.find((one) => one.id === move)?.name ?? move}`}
                  className="min-h-8 px-2 rounded-md border border-line bg-haze text-sm cursor-pointer disabled:cursor-default"
                  onClick={() => onChange({ ...step, moves: step.moves.filter((one) => one !== move) })}
                >
                  {moves.data?.find((one) => one.id === move)?.name ?? move}
                  {step.moves.length > 1 && ' ×'}
                </button>
              ))}
            </div>
            <Pick
              label="Another move or drill"
              hideLabel
              value=""
              empty="add a move or drill"
              options={(moves.data ?? [])
                .filter((move) => !step.moves.includes(move.id))
                .map((move) => ({ value: move.id, label: move.name }))}
              onChange={(move) => onChange({ ...step, moves: [...step.moves, move] })}
            />
          </div>
          <Criteria
            criterion={step.criterion}
            onChange={(part) => onChange({ ...step, criterion: { ...step.criterion, ...part } })}
          />
          <Tick
            label="somebody stands by"
            checked={step.supervised}
            onChange={(supervised) => onChange({ ...step, supervised })}
          />
          <details>
            <summary className="cursor-pointer min-h-11 content-center">
              Before it:{' '}
              {step.needs.length === 0
                ? 'nothing'
                : step.needs.length === 1
                  ? 'one step'
                  : `${step.needs.length} steps`}
            </summary>
            <div className="grid max-h-64 overflow-auto">
              {steps
                .filter((one) => one.id !== step.id)
                .map((one) => (
                  <Tick
                    key={one.id}
                    label={nameOf(one)}
                    checked={step.needs.includes(one.id)}
                    onChange={(needed) =>
                      onChange({
                        ...step,
                        needs: needed ? [...step.needs, one.id] : step.needs.filter((id) => id !== one.id),
                      })
                    }
                  />
                ))}
            </div>
          </details>
          <Button
            onClick={() => onRemove(step.id)}
            disabled={steps.length === 1}
            className="justify-self-start"
          >
            Take it off the ladder
          </Button>
        </Card>
      )}
      <Card className="p-4 grid gap-2" label="A new step">
        <Field
          label="A new step, called"
          value={added}
          maxLength={80}
          onChange={(event) => setAdded(event.target.value)}
        />
        <Button onClick={add} disabled={added.trim() === ''} className="justify-self-start">
          Add it
        </Button>
      </Card>
    </div>
  );
}

function Criteria({
  criterion,
  onChange,
}: {
  criterion: Criterion;
  onChange: (part: Partial<Criterion>) => void;
}) {
  const number = (field: 'score' | 'passes' | 'of' | 'days', label: string, least: number, most: number) => (
    <Field
      label={label}
      type="number"
      min={least}
      max={most}
      value={criterion[field]}
      onChange={(event) => onChange({ [field]: Number(event.target.value) })}
    />
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        {number('score', 'At least', 0, 100)}
        {number('passes', 'in so many passes', 1, 20)}
        {number('of', 'of so many latest', 1, 40)}
        {number('days', 'on so many days', 1, 20)}
      </div>
      <Pick
        label="Passes"
        value={criterion.kind}
        options={[
          { value: 'real', label: 'with a craft' },
          { value: 'practised', label: 'practised in Fly' },
          { value: 'either', label: 'either' },
        ]}
        onChange={(kind) => onChange({ kind: kind as Criterion['kind'] })}
      />
      <div className="grid">
        {FLAGS.map(([flag, label]) => (
          <Tick
            key={flag}
            label={label}
            checked={criterion[flag]}
            onChange={(on) => onChange({ [flag]: on })}
          />
        ))}
      </div>
    </>
  );
}

function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex gap-2 items-center min-h-11 text-sm">
      <input
        type="checkbox"
        className="size-5 shrink-0"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
