// Before you fly: what was checked, what is broken first, each with the nearest change that mends it.

import { Check, CircleAlert, TriangleAlert } from 'lucide-react';

import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import type { Values } from './draft';

const LOOK = {
  ok: { icon: Check, color: 'text-leaf', word: 'fine' },
  note: { icon: CircleAlert, color: 'text-pollen-ink', word: 'worth knowing' },
  broken: { icon: TriangleAlert, color: 'text-brick', word: 'can’t be flown' },
} as const;

type Props = {
  findings: Schemas['Finding'][];
  /** null until it is known. */
  expectation: Schemas['Expectation'] | null;
  onMend: (values: Values) => void;
};

export function Findings({ findings, expectation, onMend }: Props) {
  const expected = expectation?.expected;
  return (
    <Card className="p-3">
      <div className="flex justify-between items-baseline">
        <h2>Before you fly</h2>
        {expectation === null && <span className="text-sm text-ink-soft">would score …</span>}
        {expected && (
          <span className={`text-sm font-semibold ${expected.score >= 97 ? 'text-leaf' : 'text-pollen-ink'}`}>
            would score <span className="figure">{Math.round(expected.score)}</span>
          </span>
        )}
      </div>
      <ul className="m-0 mt-2 p-0 list-none">
        {findings.map((finding) => {
          const { icon: Icon, color, word } = LOOK[finding.state];
          return (
            <li
              key={finding.id}
              className="grid grid-cols-[20px_1fr] gap-2 py-2 border-t border-line text-sm"
              data-finding={finding.id}
              data-state={finding.state}
            >
              <Icon size={17} className={`${color} mt-0.5`} aria-label={word} />
              <div>
                <span>{finding.text}</span>
                {finding.mend &&
                  (Object.keys(finding.mend.parameters).length > 0 ? (
                    <button
                      type="button"
                      className="block min-h-8 text-left text-larkspur font-semibold underline cursor-pointer bg-transparent"
                      onClick={() => finding.mend && onMend(finding.mend.parameters as Values)}
                    >
                      {finding.mend.text}
                    </button>
                  ) : (
                    <span className="block text-ink-soft">{finding.mend.text}</span>
                  ))}
              </div>
            </li>
          );
        })}
      </ul>
      {/* It comes later than the rest: below, where it pushes nothing from under a finger. */}
      {expected?.limited_by && (
        <p className="m-0 py-2 border-t border-line text-sm text-ink-soft">{expected.limited_by}</p>
      )}
      <p className="m-0 pt-2 border-t border-line text-sm text-ink-soft">
        Larkspur plans and judges; it flies nothing. Keep the craft in sight, and check the rules of your
        local authority.
      </p>
    </Card>
  );
}
