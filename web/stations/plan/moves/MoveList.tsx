// The list of moves, sorted as one looks for them: by what they do to the picture, by how many axes they play, or by level.
import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';

type Sorting = 'picture' | 'axes' | 'level';

type Props = {
  moves: Schemas['Move'][];
  /** Those that many craft fly by themselves. */
  machine: Schemas['MachineMove'][];
  chosen: string;
  onChoose: (id: string) => void;
  onMachine: (id: string) => void;
};

const AXES = ['No axis', 'One axis', 'Two axes', 'Three axes', 'Four axes', 'Five axes'];

const heading: Record<Sorting, (move: Schemas['Move']) => [number | string, string]> = {
  picture: (move) => [move.group, move.group_words],
  axes: (move) => [move.axes, AXES[move.axes] ?? `${move.axes} axes`],
  level: (move) => [move.level, `Level ${move.level}: ${move.level_words}`],
};

export function MoveList({ moves, machine, chosen, onChoose, onMachine }: Props) {
  const [sorting, setSorting] = useState<Sorting>('picture');
  const [looking, setLooking] = useState('');
  const here = useRef<HTMLButtonElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the chosen move is brought into view when it or the order changes
  useEffect(() => {
    const list = here.current?.closest('nav');
    if (!list || !here.current) return;
    const row = here.current.getBoundingClientRect();
    const seen = list.getBoundingClientRect();
    if (row.top < seen.top || row.bottom > seen.bottom)
      list.scrollTop += row.top - seen.top - seen.height / 3;
  }, [chosen, sorting]);
  const groups = grouped(moves, sorting, looking);
  const byItself = machine.filter((one) =>
    `${one.name} ${one.does}`.toLowerCase().includes(looking.trim().toLowerCase()),
  );
  return (
    <Card className="p-3 grid gap-2 content-start grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_1fr] min-h-0 max-h-72 lg:max-h-none">
      <Choice
        label="Sorted by"
        hideLabel
        value={sorting}
        onChange={setSorting}
        options={[
          { value: 'picture', label: 'Picture' },
          { value: 'axes', label: 'Axes' },
          { value: 'level', label: 'Level' },
        ]}
      />
      <input
        type="search"
        aria-label="Look for a move"
        placeholder="Look for a move"
        className="min-h-11 px-3 w-full min-w-0 rounded-md border border-line bg-card text-ink"
        value={looking}
        onChange={(event) => setLooking(event.target.value)}
      />
      <nav aria-label="Moves" className="overflow-auto min-h-0 -mx-1">
        {groups.length + byItself.length === 0 && (
          <p className="m-1 text-sm text-ink-soft">No move goes by that.</p>
        )}
        {groups.map((group) => (
          <section key={group.words} className="mb-2">
            <h2 className="text-sm! text-ink-soft font-normal! px-1">{group.words}</h2>
            {group.moves.map((move) => (
              <button
                key={move.id}
                ref={move.id === chosen ? here : undefined}
                type="button"
                aria-current={move.id === chosen ? 'page' : undefined}
                className={`block w-full text-left min-h-9 px-2 rounded-md cursor-pointer ${move.id === chosen ? 'bg-haze font-semibold' : 'bg-transparent hover:bg-haze'}`}
                onClick={() => onChoose(move.id)}
              >
                {move.name}
              </button>
            ))}
          </section>
        ))}
        {byItself.length > 0 && (
          <section className="mb-2" data-list="machine-moves">
            <h2 className="text-sm! text-ink-soft font-normal! px-1">Flown by the craft itself</h2>
            {byItself.map((one) => (
              <button
                key={one.id}
                type="button"
                className="block w-full text-left min-h-9 px-2 rounded-md cursor-pointer bg-transparent hover:bg-haze"
                onClick={() => onMachine(one.id)}
              >
                {one.name}
              </button>
            ))}
          </section>
        )}
      </nav>
    </Card>
  );
}

/** The moves that are looked for, in groups. */
function grouped(moves: Schemas['Move'][], sorting: Sorting, looking: string) {
  const wanted = looking.trim().toLowerCase();
  const found = new Map<number | string, { words: string; moves: Schemas['Move'][] }>();
  for (const move of moves) {
    const words = `${move.name} ${move.does} ${move.id} ${move.called.join(' ')}`;
    if (wanted !== '' && !words.toLowerCase().includes(wanted)) continue;
    const [key, head] = heading[sorting](move);
    const group = found.get(key) ?? { words: head, moves: [] };
    group.moves.push(move);
    found.set(key, group);
  }
  const all = [...found.entries()];
  if (sorting !== 'picture') all.sort(([a], [b]) => Number(a) - Number(b));
  return all.map(([, group]) => group);
}
