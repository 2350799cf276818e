// A shot to take along: on paper and in open formats; another like it; and one that comes back from a file.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';

const FORMATS = [
  { id: 'json', name: 'Shot and site' },
  { id: 'geojson', name: 'GeoJSON' },
  { id: 'kml', name: 'KML with a tour' },
  { id: 'gpx', name: 'GPX' },
  { id: 'csv', name: 'Thumb sheet, CSV' },
  { id: 'vtt', name: 'Cues, WebVTT' },
];

type Props = {
  shot: Schemas['Shot'] | null;
  rigId: number;
  /** Keeps it as a shot of its own beside the one it was. */
  onAnother: (() => void) | undefined;
};

export function TakeAlong({ shot, rigId, onAnother }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async (chosen: File) => {
      const text = await chosen.text();
      let shot: Record<string, unknown>;
      try {
        shot = JSON.parse(text);
      } catch {
        throw new Problem(422, {
          type: '',
          title: '',
          status: 422,
          detail: `${chosen.name} is no JSON. A shot file ends in .shot.json; nothing was taken in.`,
          errors: [],
        });
      }
      return answered(api.POST('/shot-files', { body: { rig_id: rigId, shot } }));
    },
    onSuccess: (kept) => {
      void client.invalidateQueries({ queryKey: ['sites'] });
      void client.invalidateQueries({ queryKey: ['shots'] });
      navigate(`/plan/${kept.id}`);
    },
  });
  const link = 'inline-flex items-center min-h-11 px-2 text-larkspur font-semibold';
  return (
    <Card className="p-3 grid gap-2" label="Take it along">
      <h2>Take it along</h2>
      {shot === null ? (
        <p className="m-0 text-sm text-ink-soft">
          Keep the shot first; then it can go along on paper and as a file.
        </p>
      ) : (
        <div className="flex flex-wrap gap-x-2">
          <a className={link} href={`/api/v1/shots/${shot.id}/card`} target="_blank" rel="noreferrer">
            Field card, A5
          </a>
          {FORMATS.map((format) => (
            <a key={format.id} className={link} href={`/api/v1/shots/${shot.id}/files/${format.id}`} download>
              {format.name}
            </a>
          ))}
        </div>
      )}
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Shot file"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) take.mutate(chosen);
          event.target.value = '';
        }}
      />
      {onAnother && <Button onClick={onAnother}>Keep it as another shot</Button>}
      <Button onClick={() => file.current?.click()} disabled={take.isPending}>
        Take a shot file in
      </Button>
      {take.error && <Notice error={take.error} />}
    </Card>
  );
}
