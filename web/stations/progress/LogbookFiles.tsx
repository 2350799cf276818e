// The logbook to take along: every line as a file, its days on paper or for a calendar; and a file of one read back in.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { type Schemas, upload } from '~/api/client';
import { PROGRESS } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';

const FILES = [
  { as: 'csv', name: 'Every line (CSV)' },
  { as: 'pdf', name: 'On paper (PDF)' },
  { as: 'ics', name: 'For a calendar (iCalendar)' },
];

export function LogbookFiles({ logbook }: { logbook: Schemas['Logbook'] }) {
  const { user } = useSession();
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const mine = user.id === logbook.operator.id && user.role !== 'viewer';
  const read = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.set('file', file);
      return upload('/logbook/file', form, () => {});
    },
    onSuccess: () => {
      for (const key of PROGRESS) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  return (
    <Card caption="To take along" className="pb-3">
      <div className="px-3 grid gap-2">
        {FILES.map(({ as, name }) => (
          <a
            key={as}
            className={buttonLook()}
            href={`/api/v1/logbook/file?as=${as}&operator=${logbook.operator.id}`}
            download
          >
            {name}
          </a>
        ))}
        {mine && (
          <>
            <input
              ref={input}
              type="file"
              accept=".csv,text/csv"
              className="sr-only"
              aria-label="A logbook to read in"
              tabIndex={-1}
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file !== undefined) read.mutate(file);
                event.target.value = '';
              }}
            />
            <Button onClick={() => input.current?.click()} disabled={read.isPending}>
              {read.isPending ? 'Reading…' : 'Read one in (CSV)'}
            </Button>
          </>
        )}
        {read.error && <Notice error={read.error} />}
        {read.data && <Notice tone="leaf" text={told(read.data)} />}
      </div>
    </Card>
  );
}

function told({ added, known, unread, lines }: Schemas['ReadBack']): string {
  const flights = added === 1 ? 'One flight was' : `${added} flights were`;
  const stood = known === 0 ? '' : ` ${known === 1 ? 'One line' : `${known} lines`} stood here already.`;
  const not =
    unread === 0
      ? ''
      : ` ${unread === 1 ? 'One line has' : `${unread} lines have`} no moment or length that can be (line ${lines.join(', ')}).`;
  return `${flights} added as flights without a log.${stood}${not}`;
}
