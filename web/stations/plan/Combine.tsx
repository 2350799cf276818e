// Combination: two or three moves joined into one, one after the other or at once.
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Pick } from '~/kit/Pick';
import type { Draft } from './draft';
import type { Planning } from './usePlan';

type Props = { draft: Draft; change: Planning['change']; moves: Schemas['Move'][] };

export function Combine({ draft, change, moves }: Props) {
  const parts = draft.parts ?? [];
  const shots = moves.filter((item) => item.group !== 'drill' && item.group !== 'combined');
  const put = (next: Schemas['Part'][]) => change({ kind: 'put', put: { parts: next } });
  return (
    <Card className="p-3 grid gap-2" label="The moves that are joined">
      <h2>Joined from</h2>
      {parts.map((part, index) => (
        <Pick
          // biome-ignore lint/suspicious/noArrayIndexKey: a part is its place in the order
          key={index}
          label={['First', 'Then', 'And then'][index] ?? 'Then'}
          value={part.move}
          onChange={(move) =>
            put(parts.map((item, other) => (other === index ? { move, parameters: {} } : item)))
          }
          options={shots.map((item) => ({ value: item.id, label: item.name, group: item.group_words }))}
        />
      ))}
      <div className="flex gap-2">
        <Button
          disabled={parts.length >= 3}
          onClick={() => put([...parts, { move: 'rise', parameters: {} }])}
        >
          One more
        </Button>
        <Button disabled={parts.length <= 2} onClick={() => put(parts.slice(0, -1))}>
          One less
        </Button>
      </div>
      <Choice
        label="Joined"
        value={draft.join ?? 'sequence'}
        onChange={(join) => change({ kind: 'put', put: { join } })}
        options={[
          { value: 'sequence', label: 'One after another' },
          { value: 'together', label: 'At once' },
        ]}
      />
    </Card>
  );
}
