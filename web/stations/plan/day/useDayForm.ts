// The form of a day that is kept: saved and planned anew with every change, one request at a time. Where somebody else has saved first,
// what was changed here is put into theirs.
import { useRef, useState } from 'react';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

type Day = Schemas['DayDetail'];
export type Form = Schemas['DayForm'];
type Step = (now: Form) => Form;

const formOf = (day: Day): Form => ({
  title: day.title,
  purpose: day.purpose,
  date: day.date,
  site_id: day.site_id,
  document: day.document,
});

export function useDayForm(first: Day): {
  form: Form;
  day: Day;
  problem: Problem | null;
  busy: boolean;
  /** Whether somebody else saved while this page was open. */
  merged: boolean;
  change: (change: Step) => void;
  put: (change: Partial<Form['document']>) => void;
} {
  const [form, setForm] = useState<Form>(() => formOf(first));
  const [merged, setMerged] = useState(false);
  const latest = useRef(form);
  const version = useRef(first.version);
  /** Changes that the server does not have yet. */
  const open = useRef<Step[]>([]);
  const { value, problem, busy, ask } = useLatest(async (_: number): Promise<Day> => {
    const sent = open.current.length;
    const save = () =>
      answered(
        api.PUT('/days/{day}', {
          params: { path: { day: first.id } },
          body: { ...latest.current, version: version.current },
        }),
      );
    const day = await save().catch(async (error: unknown) => {
      if (!(error instanceof Problem && error.status === 409)) throw error;
      const theirs = await answered(api.GET('/days/{day}', { params: { path: { day: first.id } } }));
      version.current = theirs.version;
      latest.current = open.current.reduce((now, step) => step(now), formOf(theirs));
      setForm(latest.current);
      setMerged(true);
      return save();
    });
    version.current = day.version;
    open.current = open.current.slice(sent);
    return day;
  }, 'larkspur:day');
  const change = (step: Step) => {
    latest.current = step(latest.current);
    open.current = [...open.current, step];
    setForm(latest.current);
    ask(open.current.length);
  };
  const put = (document: Partial<Form['document']>) =>
    change((now) => ({ ...now, document: { ...now.document, ...document } }));
  return { form, day: value ?? first, problem, busy, merged, change, put };
}
