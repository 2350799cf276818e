// The form of a day. One that is kept is saved and planned anew with every change, one request at a time; a new one waits until it is kept.
import { useCallback, useRef, useState } from 'react';
import { call, type Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

type Day = Schemas['DayDetail'];
export type Form = Schemas['DayForm'];

export const formOf = (day: Day): Form => ({
  title: day.title,
  date: day.date,
  site_id: day.site_id,
  document: day.document,
});

export function useDayForm(first: Day): {
  form: Form;
  day: Day;
  problem: Problem | null;
  busy: boolean;
  change: (change: (now: Form) => Form) => void;
  put: (change: Partial<Form['document']>) => void;
} {
  const [form, setForm] = useState<Form>(() => formOf(first));
  const latest = useRef(form);
  const version = useRef(first.version);
  const { value, problem, busy, ask } = useLatest(async (now: Form): Promise<Day> => {
    const day = await call<Day>('PUT', `/days/${first.id}`, { ...now, version: version.current });
    version.current = day.version;
    return day;
  }, 'larkspur:day');
  const change = useCallback(
    (step: (now: Form) => Form) => {
      latest.current = step(latest.current);
      setForm(latest.current);
      ask(latest.current);
    },
    [ask],
  );
  const put = useCallback(
    (document: Partial<Form['document']>) =>
      change((now) => ({ ...now, document: { ...now.document, ...document } })),
    [change],
  );
  return { form, day: value ?? first, problem, busy, change, put };
}
