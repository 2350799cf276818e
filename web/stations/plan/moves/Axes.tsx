// The explorer of axis combinations: press fingers one way or the other and see which move that is, if it has a name.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { useCombinations } from '~/api/queries';
import { Choice } from '~/kit/Choice';
import { Notice } from '~/kit/Notice';
import { Sheet } from '~/kit/Sheet';

const FINGERS: [string, string, string][] = [
  ['climb', 'down', 'up'],
  ['turn', 'left', 'right'],
  ['run', 'back', 'ahead'],
  ['slide', 'left', 'right'],
  ['tilt', 'down', 'up'],
];

type Props = {
  open: boolean;
  onClose: () => void;
  moves: Schemas['Move'][];
  onChoose: (id: string) => void;
};

export function Axes({ open, onClose, moves, onChoose }: Props) {
  const all = useCombinations(open);
  const [pressed, setPressed] = useState<Record<string, '-1' | '0' | '1'>>({ slide: '1', turn: '-1' });
  const playing = FINGERS.filter(([finger]) => (pressed[finger] ?? '0') !== '0').map(([finger]) => finger);
  const found = all.data?.all.find(
    (item) =>
      Object.keys(item.axes).length === playing.length &&
      playing.every((finger) => String(item.axes[finger]) === pressed[finger]),
  );
  const sum = (counts: Schemas['AxisCount'][]) => counts.reduce((total, item) => total + item.count, 0);
  const named = all.data?.all.filter((item) => item.moves.length > 0).length ?? 0;
  return (
    <Sheet open={open} onClose={onClose} title="Which axes make what">
      {all.error && <Notice error={all.error} />}
      <div className="grid gap-2">
        {FINGERS.map(([finger, back, forth]) => (
          <div key={finger} className="grid grid-cols-[4.5rem_1fr] items-center gap-3">
            <span className="font-semibold" style={{ color: `var(--${finger})` }}>
              {finger}
            </span>
            <Choice
              label={`The ${finger} finger`}
              hideLabel
              value={pressed[finger] ?? '0'}
              onChange={(next) => setPressed((now) => ({ ...now, [finger]: next }))}
              options={[
                { value: '-1', label: back },
                { value: '0', label: 'rests' },
                { value: '1', label: forth },
              ]}
            />
          </div>
        ))}
      </div>
      <div aria-live="polite" className="min-h-16">
        {playing.length === 0 ? (
          <p className="m-0">Nothing moves: a locked-off frame.</p>
        ) : found === undefined || found.moves.length === 0 ? (
          <p className="m-0">
            {playing.length === 1 ? 'One axis' : `${playing.length} axes at once`}, and no name for it.
            Combine two moves in Plan to fly it.
          </p>
        ) : (
          <div className="flex flex-wrap gap-x-3">
            {found.moves.map((id) => (
              <button
                key={id}
                type="button"
                className="min-h-11 text-larkspur font-semibold underline cursor-pointer bg-transparent"
                onClick={() => {
                  onClose();
                  onChoose(id);
                }}
              >
                {moves.find((item) => item.id === id)?.name ?? id}
              </button>
            ))}
          </div>
        )}
      </div>
      {all.data && (
        <p className="m-0 text-sm text-ink-soft">
          Each of five fingers rests or goes one of two ways: {sum(all.data.without_zoom)} ways to move (
          {all.data.without_zoom.map((item) => item.count).join(', ')} by number of axes), of which {named}{' '}
          have a name. With the zoom as a sixth there are {sum(all.data.with_zoom)}.
        </p>
      )}
    </Sheet>
  );
}
