// The keys of Larkspur, listed under "?".
import { Sheet } from '~/kit/Sheet';

const KEYS: { where: string; keys: [string, string][] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['0', 'Today'],
      ['1 to 5', 'Rig, Plan, Fly, Debrief, Progress'],
      ['?', 'This list'],
    ],
  },
  {
    where: 'Rig',
    keys: [
      ['\u2191 \u2193', 'Pull the curve that has the focus; with Shift by five steps'],
      ['wasd, ijkl', 'Left and right stick in Try it; u and m are the wheel'],
    ],
  },
  {
    where: 'Plan',
    keys: [
      ['o', 'The other way round'],
      ['k', 'Keep the shot'],
      ['f', 'Keep it and fly it'],
      ['arrows', 'Move the handle or value that has the focus; with Shift by five steps'],
    ],
  },
  {
    where: 'Debrief',
    keys: [
      ['space', 'Play and pause'],
      ['\u2190 \u2192', 'A fifth of a second back or on'],
      ['n, p', 'Next and previous fault'],
      ['k, d', 'Keep or drop this take'],
      ['c', 'Comment on this moment (trainers)'],
    ],
  },
];

export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet open={open} onClose={onClose} title="Keys">
      {KEYS.map((group) => (
        <section key={group.where} className="grid gap-1">
          <h2>{group.where}</h2>
          <dl className="grid grid-cols-[6rem_1fr] gap-y-1 m-0 text-sm">
            {group.keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="figure">{key}</dt>
                <dd className="m-0">{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Sheet>
  );
}
