// Lessons: what a trainer set, for what, for whom and by when, and how far each of them is; an operator sees their own and answers.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { PROGRESS, useLessons } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Remove } from '~/kit/Remove';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { day } from '~/units';
import { LessonForm } from './LessonForm';
import { KINDS } from './lessonKinds';

export function LessonsRoom() {
  const { user } = useSession();
  const lessons = useLessons();
  const [writing, setWriting] = useState<Schemas['GivenLesson'] | 'new' | null>(null);
  if (lessons.error) throw lessons.error;
  if (!lessons.data) return <Skeleton className="h-[50vh]" />;
  return (
    <div className="grid gap-3">
      {user.role === 'trainer' && writing === null && (
        <Button primary className="justify-self-start" onClick={() => setWriting('new')}>
          Set a lesson
        </Button>
      )}
      {writing !== null && (
        <LessonForm
          key={writing === 'new' ? 'new' : `${writing.id} ${writing.version}`}
          lesson={writing === 'new' ? null : writing}
          onDone={() => setWriting(null)}
        />
      )}
      {lessons.data.length === 0 && writing === null && (
        <Card className="p-6">
          <p className="m-0">
            {user.role === 'trainer'
              ? 'No lesson yet. One has a purpose, a few steps, and those it is for.'
              : 'No lesson has been set for you.'}
          </p>
        </Card>
      )}
      {lessons.data.map((lesson) => (
        <GivenLesson key={lesson.id} lesson={lesson} onChange={() => setWriting(lesson)} />
      ))}
    </div>
  );
}

function GivenLesson({ lesson, onChange }: { lesson: Schemas['GivenLesson']; onChange: () => void }) {
  const { user } = useSession();
  const client = useQueryClient();
  const mine = lesson.members.find((member) => member.operator.id === user.id);
  const fresh = () => {
    for (const key of PROGRESS) void client.invalidateQueries({ queryKey: [key] });
  };
  return (
    <Card className="p-4 grid gap-3" label={lesson.title}>
      <div className="flex flex-wrap justify-between gap-3">
        <div>
          <h2>{lesson.title}</h2>
          <p className="m-0">{lesson.purpose}</p>
          <p className="m-0 text-sm text-ink-soft">
            {lesson.author !== '' && `Set by ${lesson.author}`}
            {lesson.wanted_on !== null && `, wanted by ${day(`${lesson.wanted_on}T12:00:00Z`)}`}
            {lesson.minutes !== null && `, about ${lesson.minutes} min`}
            {lesson.batteries !== null &&
              `, ${lesson.batteries === 1 ? 'one battery' : `${lesson.batteries} batteries`}`}
          </p>
        </div>
        {user.role === 'trainer' && (
          <div className="flex gap-2 items-start">
            <Button onClick={onChange}>Change it</Button>
            <Remove
              what="this lesson"
              words="It is withdrawn from everyone it was given to. What was flown and practised for it stays."
              ask={() =>
                answered(api.DELETE('/lessons/{lesson}', { params: { path: { lesson: lesson.id } } }))
              }
              onRemoved={fresh}
            />
          </div>
        )}
      </div>
      <div className="overflow-x-auto">
        <table className="border-collapse text-sm" data-picture="lesson">
          <thead>
            <tr className="text-left">
              <th className="pr-4 font-normal text-ink-soft">Step</th>
              {lesson.members.map((member) => (
                <th key={member.operator.id} className="px-2 font-normal text-ink-soft">
                  {member.operator.id === user.id ? 'You' : member.operator.name.split(' ')[0]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lesson.steps.map((step, k) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a step is known by its place
              <tr key={k} className="border-t border-line">
                <td className="pr-4 py-1.5">
                  {k + 1}. {KINDS[step.kind]}
                  {step.move_name !== null && (
                    <>
                      {': '}
                      <Link to={step.shot_id === null ? `/plan/moves/${step.move}` : `/fly/${step.shot_id}`}>
                        {step.move_name}
                      </Link>
                    </>
                  )}
                  {step.note !== '' && <span className="text-ink-soft">. {step.note}</span>}
                </td>
                {lesson.members.map((member) => (
                  <td key={member.operator.id} className="px-2 figure">
                    {(member.have[k] ?? 0) >= (member.want[k] ?? 1) ? (
                      <span className="text-leaf font-semibold">done</span>
                    ) : (
                      `${member.have[k] ?? 0} of ${member.want[k] ?? 1}`
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {lesson.members.some((member) => member.comment !== '' && member !== mine) && (
        <ul className="m-0 p-0 list-none text-sm">
          {lesson.members
            .filter((member) => member.comment !== '' && member !== mine)
            .map((member) => (
              <li key={member.operator.id}>
                {member.operator.name}: “{member.comment}”
              </li>
            ))}
        </ul>
      )}
      {mine && <Answer lesson={lesson} mine={mine} onKept={fresh} />}
    </Card>
  );
}

/** What nobody can measure is ticked; and a word back to the trainer. */
function Answer({
  lesson,
  mine,
  onKept,
}: {
  lesson: Schemas['GivenLesson'];
  mine: Schemas['GivenLessonMember'];
  onKept: () => void;
}) {
  const byHand = lesson.steps.flatMap((step, k) =>
    step.kind === 'read' || step.kind === 'debrief' ? [k] : [],
  );
  const [ticked, setTicked] = useState(() => byHand.filter((k) => (mine.have[k] ?? 0) > 0));
  const [comment, setComment] = useState(mine.comment);
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/lessons/{lesson}/mine', {
          params: { path: { lesson: lesson.id } },
          body: { ticked, comment },
        }),
      ),
    onSuccess: onKept,
  });
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      {byHand.map((k) => (
        <label key={k} className="flex gap-2 items-center min-h-11">
          <input
            type="checkbox"
            className="size-5"
            checked={ticked.includes(k)}
            onChange={(event) =>
              setTicked(event.target.checked ? [...ticked, k] : ticked.filter((one) => one !== k))
            }
          />
          {k + 1}. {KINDS[lesson.steps[k]?.kind ?? 'read']}
          {lesson.steps[k]?.move_name ? `: ${lesson.steps[k]?.move_name}` : ''}
        </label>
      ))}
      <label className="grid gap-1 text-sm">
        A word to your trainer
        <textarea
          className="min-h-20 p-2 rounded-md border border-line bg-card text-ink text-base"
          value={comment}
          maxLength={1000}
          onChange={(event) => setComment(event.target.value)}
        />
      </label>
      {keep.error !== null && <Notice error={keep.error} />}
      <div className="flex gap-3 items-center">
        <Button type="submit" disabled={keep.isPending}>
          Keep
        </Button>
        {keep.isSuccess && <span className="text-sm text-leaf">Kept.</span>}
      </div>
    </form>
  );
}
