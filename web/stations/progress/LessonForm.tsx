// Setting a lesson: first what it is for, then its steps, then whom it is for.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { PROGRESS, useMoves, useOperators } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { KINDS } from './lessonKinds';

type Step = Schemas['LessonStep'];

const NONE = 'none';

export function LessonForm({
  lesson,
  onDone,
}: {
  lesson: Schemas['GivenLesson'] | null;
  onDone: () => void;
}) {
  const client = useQueryClient();
  const moves = useMoves();
  const operators = useOperators(true);
  const [title, setTitle] = useState(lesson?.title ?? '');
  const [purpose, setPurpose] = useState(lesson?.purpose ?? '');
  const [wanted, setWanted] = useState(lesson?.wanted_on ?? '');
  const [minutes, setMinutes] = useState(String(lesson?.minutes ?? ''));
  const [batteries, setBatteries] = useState(String(lesson?.batteries ?? ''));
  const [steps, setSteps] = useState<Step[]>(
    lesson?.steps.map(({ kind, move, shot_id, passes, note }) => ({ kind, move, shot_id, passes, note })) ?? [
      { kind: 'read', move: 'orbit', shot_id: null, passes: 1, note: '' },
    ],
  );
  const [whom, setWhom] = useState<number[]>(lesson?.members.map((member) => member.operator.id) ?? []);
  const change = (k: number, part: Partial<Step>) =>
    setSteps(steps.map((step, i) => (i === k ? { ...step, ...part } : step)));
  const give = useMutation({
    mutationFn: () => {
      const body = {
        title,
        purpose,
        steps,
        minutes: minutes === '' ? null : Number(minutes),
        batteries: batteries === '' ? null : Number(batteries),
        wanted_on: wanted === '' ? null : wanted,
        operators: whom,
      };
      return lesson === null
        ? answered(api.POST('/lessons', { body }))
        : answered(
            api.PUT('/lessons/{lesson}', {
              params: { path: { lesson: lesson.id } },
              body: { ...body, version: lesson.version },
            }),
          );
    },
    onSuccess: () => {
      for (const key of PROGRESS) void client.invalidateQueries({ queryKey: [key] });
      onDone();
    },
  });
  const class_ = operators.data ?? [];
  return (
    <Card className="p-4" label="A lesson">
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          give.mutate();
        }}
      >
        <Field
          label="What it is for: what can they do afterwards that they can’t now?"
          value={purpose}
          required
          maxLength={400}
          onChange={(event) => setPurpose(event.target.value)}
        />
        <div className="grid gap-3 sm:grid-cols-[2fr_1fr_1fr_1fr]">
          <Field
            label="Title"
            value={title}
            required
            maxLength={120}
            onChange={(event) => setTitle(event.target.value)}
          />
          <Field
            label="Wanted by"
            type="date"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
          <Field
            label="Minutes"
            type="number"
            min={1}
            max={1440}
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
          <Field
            label="Batteries"
            type="number"
            min={0}
            max={50}
            value={batteries}
            onChange={(event) => setBatteries(event.target.value)}
          />
        </div>
        <fieldset className="m-0 p-0 border-0 grid gap-2">
          <legend className="text-sm text-ink-soft p-0">Steps</legend>
          {steps.map((step, k) => (
            <div
              // biome-ignore lint/suspicious/noArrayIndexKey: a step is known by its place
              key={k}
              className="grid gap-2 sm:grid-cols-[11rem_14rem_5rem_1fr_auto] items-end"
            >
              <Pick
                label={`Step ${k + 1}`}
                value={step.kind}
                options={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
                onChange={(kind) => change(k, { kind: kind as Step['kind'] })}
              />
              <Pick
                label="Move or drill"
                value={step.move === '' ? NONE : step.move}
                options={[
                  { value: NONE, label: 'none in particular' },
                  ...(moves.data ?? []).map((move) => ({ value: move.id, label: move.name })),
                ]}
                onChange={(move) => change(k, { move: move === NONE ? '' : move })}
              />
              <Field
                label="Times"
                type="number"
                min={1}
                max={50}
                required
                value={step.passes}
                onChange={(event) => change(k, { passes: Number(event.target.value) })}
              />
              <Field
                label="With"
                placeholder="cue, setting, place"
                value={step.note}
                maxLength={300}
                onChange={(event) => change(k, { note: event.target.value })}
              />
              <Button
                disabled={steps.length === 1}
                aria-label={`Leave out step ${k + 1}`}
                onClick={() => setSteps(steps.filter((_, i) => i !== k))}
              >
                Out
              </Button>
            </div>
          ))}
          <Button
            className="justify-self-start"
            disabled={steps.length >= 30}
            onClick={() =>
              setSteps([
                ...steps,
                {
                  kind: 'practise',
                  move: steps[steps.length - 1]?.move ?? '',
                  shot_id: null,
                  passes: 3,
                  note: '',
                },
              ])
            }
          >
            Another step
          </Button>
        </fieldset>
        <fieldset className="m-0 p-0 border-0">
          <legend className="text-sm text-ink-soft p-0">For whom</legend>
          <div className="flex flex-wrap gap-x-5">
            <label className="flex gap-2 items-center min-h-11">
              <input
                type="checkbox"
                className="size-5"
                checked={class_.length > 0 && whom.length === class_.length}
                onChange={(event) => setWhom(event.target.checked ? class_.map((one) => one.id) : [])}
              />
              the whole class
            </label>
            {class_.map((one) => (
              <label key={one.id} className="flex gap-2 items-center min-h-11">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={whom.includes(one.id)}
                  onChange={(event) =>
                    setWhom(event.target.checked ? [...whom, one.id] : whom.filter((id) => id !== one.id))
                  }
                />
                {one.name}
              </label>
            ))}
          </div>
        </fieldset>
        {give.error !== null && <Notice error={give.error} />}
        <div className="flex gap-2">
          <Button type="submit" primary disabled={give.isPending || whom.length === 0}>
            {lesson === null ? 'Give it' : 'Keep the change'}
          </Button>
          <Button onClick={onDone}>Leave it</Button>
        </div>
      </form>
    </Card>
  );
}
