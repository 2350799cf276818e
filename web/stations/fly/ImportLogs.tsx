// Bringing logs in: drop one or many, see how far each is, and what its reader had to say, line by line.
import { useQueryClient } from '@tanstack/react-query';
import { Upload } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Problem, type Schemas, upload } from '~/api/client';
import { useImports } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Columns } from './Columns';

import { NameMove } from './NameMove';
import { PlaceQuestion } from './PlaceQuestion';
import { Remembered } from './Remembered';
import { Bar, Failed, OnItsWay } from './UnderWay';

const ENDED: Schemas['Import']['state'][] = ['done', 'refused'];

const UNDER_WAY: Schemas['Import']['state'][] = ['waiting', 'reading', 'judging'];

const LARGEST = 256 * 1024 * 1024;

/** Logs that are shown before somebody asks for all of them. */
const SHOWN = 8;

type Sending = { key: string; name: string; share: number; problem: string | null };

export function ImportLogs({ shot }: { shot: Schemas['Shot'] | undefined }) {
  const client = useQueryClient();
  const [over, setOver] = useState(false);
  const [against, setAgainst] = useState<'shot' | 'none'>('shot');
  const [sending, setSending] = useState<Sending[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const [all, setAll] = useState(false);
  const imports = useImports();
  const finished = (imports.data ?? []).filter((item) => item.state === 'done').length;
  useEffect(() => {
    if (finished > 0)
      for (const key of ['takes', 'today', 'shots']) void client.invalidateQueries({ queryKey: [key] });
  }, [finished, client]);

  const leaving = sending.some((item) => item.problem === null);
  useEffect(() => {
    // What has not been sent is only here: a page that is left loses it.
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    if (leaving) window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [leaving]);

  const send = async (files: FileList | null) => {
    const drop = [...(files ?? [])].map((file, index) => ({
      file,
      key: `${file.name}-${index}-${performance.now()}`,
    }));
    setSending((now) => [
      ...now,
      ...drop.map(({ file, key }) => ({ key, name: file.name, share: 0, problem: null })),
    ]);
    for (const { file, key } of drop) {
      const change = (next: Partial<Sending>) =>
        setSending((now) => now.map((item) => (item.key === key ? { ...item, ...next } : item)));
      if (file.size > LARGEST) {
        change({
          problem: `${file.name} has ${Math.round(file.size / 1024 / 1024)} MB; logs of up to 256 MB are taken. It was not sent.`,
        });
        continue;
      }
      const form = new FormData();
      form.append('log', file);
      if (shot && against === 'shot') form.append('shot_id', String(shot.id));
      form.append('flown_at', new Date(file.lastModified).toISOString());
      try {
        await upload('/imports', form, (share) => change({ share }));
        setSending((now) => now.filter((item) => item.key !== key));
      } catch (error) {
        change({
          problem:
            error instanceof Problem ? error.words : 'It did not arrive. Nothing was saved; send it again.',
        });
      }
      void client.invalidateQueries({ queryKey: ['imports'] });
    }
  };
  // What waits for an answer, or is on its way, stands before what has ended.
  const open = (imports.data ?? []).filter((item) => !ENDED.includes(item.state));
  const ended = (imports.data ?? []).filter((item) => ENDED.includes(item.state));
  const reading = open.filter((item) => UNDER_WAY.includes(item.state)).length;
  const failed = open.filter((item) => item.state === 'failed').length;
  const asked = open.filter((item) => item.state === 'columns' || item.state === 'place').length;
  const toCome = leaving ? sending.filter((item) => item.problem === null).length : 0;
  return (
    <Card className="p-5 grid gap-4">
      <h2>Bring in logs of real passes</h2>
      {shot && (
        <Choice
          label="Judge them against"
          value={against}
          onChange={setAgainst}
          options={[
            { value: 'shot', label: shot.title },
            { value: 'none', label: 'The move they look like' },
          ]}
        />
      )}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the button inside does the same from the keyboard */}
      <div
        className={`grid place-items-center gap-2 text-center p-6 rounded-md border-2 border-dashed ${over ? 'border-larkspur bg-haze' : 'border-line'}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          void send(event.dataTransfer.files);
        }}
      >
        <Upload size={22} aria-hidden className="text-larkspur" />
        <span>Drop logs here, one or many: CSV of any maker, GPX, KML, GeoJSON</span>
        <button
          type="button"
          className="min-h-11 px-4 underline text-larkspur font-semibold cursor-pointer bg-transparent"
          onClick={() => input.current?.click()}
        >
          or choose files
        </button>
        <input
          ref={input}
          type="file"
          accept=".csv,.txt,.tsv,.gpx,.kml,.geojson,.json"
          multiple
          className="sr-only"
          aria-label="Choose logs"
          onChange={(event) => void send(event.target.files)}
        />
      </div>
      {open.length + toCome > 1 && (
        <p className="m-0 text-sm" aria-live="polite">
          {[
            toCome === 0 ? '' : `${toCome} to be sent`,
            reading === 0 ? '' : `${reading} being read`,
            failed === 0 ? '' : `${failed} failed`,
            asked === 0 ? '' : `${asked} ${asked === 1 ? 'waits' : 'wait'} for your answer`,
          ]
            .filter((words) => words !== '')
            .join(', ')}
          .
        </p>
      )}
      <ul className="m-0 p-0 list-none grid gap-2">
        {sending.map((item) => (
          <li key={item.key} className="grid gap-1 text-sm">
            <span>{item.name}</span>
            {item.problem === null ? (
              <Bar share={item.share} words="on its way" />
            ) : (
              <span className="text-brick">{item.problem}</span>
            )}
          </li>
        ))}
        {[...askedOnce(open), ...askedOnce(all ? ended : ended.slice(0, SHOWN))].map(({ item, same }) => (
          <Arrived key={item.id} item={item} same={same} />
        ))}
      </ul>
      {ended.length > SHOWN && !all && (
        <button
          type="button"
          className="min-h-11 justify-self-start underline text-larkspur font-semibold cursor-pointer bg-transparent"
          onClick={() => setAll(true)}
        >
          All {ended.length} logs
        </button>
      )}
      <Remembered />
    </Card>
  );
}

/** Logs that wait for the same answer are asked about once. */
function askedOnce(items: Schemas['Import'][]): { item: Schemas['Import']; same: string[] }[] {
  const asked = new Map<string, { item: Schemas['Import']; same: string[] }>();
  for (const item of items) {
    const key =
      item.columns !== null
        ? `columns ${item.columns.headers.join('\n')}`
        : item.state === 'place'
          ? `place ${item.shot_id} ${item.readings.map((one) => one.id).join(' ')} ${item.maker}`
          : `${item.id}`;
    const first = asked.get(key);
    if (first) first.same.push(item.file_name);
    else asked.set(key, { item, same: [] });
  }
  return [...asked.values()];
}

/** `same`: names of the logs that its answer will read as well. */
function Arrived({ item, same }: { item: Schemas['Import']; same: string[] }) {
  return (
    <li className="grid gap-1 text-sm border-t border-line pt-2" data-import={item.state}>
      <div className="flex justify-between gap-3">
        <span className="truncate">{item.file_name}</span>
        {item.state === 'done' && (
          <span className="flex gap-2 shrink-0">
            {item.takes.map((take, index) => (
              <Link key={take} to={`/debrief/${take}`} className="font-semibold">
                take {index + 1}
              </Link>
            ))}
          </span>
        )}
      </div>
      {UNDER_WAY.includes(item.state) && <OnItsWay item={item} />}
      {item.state === 'failed' && <Failed item={item} />}
      {item.state === 'columns' && item.columns && <Columns item={item} question={item.columns} />}
      {item.state === 'place' && <PlaceQuestion item={item} />}
      {same.length > 0 && (
        <span className="text-ink-soft" data-same={same.length}>
          Your answer reads {same.length === 1 ? 'one more' : `${same.length} more`}: {same.join(', ')}
        </span>
      )}
      {item.unsure.map((take) => (
        <NameMove key={take.number} item={item} take={take} />
      ))}
      {item.state === 'refused' && (
        <span className="text-brick">
          {item.place === '' ? '' : `${item.place}: `}
          {item.message}
          {item.expected === '' ? '' : ` Expected ${item.expected}.`} Nothing was saved.
        </span>
      )}
      {item.notes.length > 0 && (
        <details>
          <summary className="cursor-pointer text-ink-soft min-h-6">
            {item.notes.length === 1 ? 'One note' : `${item.notes.length} notes`} on this log
          </summary>
          <ul className="m-0 pl-4">
            {item.notes.map((note) => (
              <li key={`${note.line}-${note.column}-${note.text}`}>
                {note.line === null
                  ? ''
                  : `Line ${note.line}${note.column === '' ? '' : `, ${note.column}`}: `}
                {note.text}
              </li>
            ))}
          </ul>
        </details>
      )}
    </li>
  );
}
