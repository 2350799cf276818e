// The petal mark of a take with its verdict, and each facet opened to the figures behind it against their anchors.
import { ChevronDown } from 'lucide-react';
import { Accordion } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { FACETS, PetalMark } from '~/pictures/PetalMark';
import { figure } from '~/units';

export function Facets({ take, children }: { take: Schemas['TakeDetail']; children: ReactNode }) {
  const judged = take.judgement;
  const weakest = FACETS.reduce((low, facet) =>
    (judged.facets[facet].score ?? 101) < (judged.facets[low].score ?? 101) ? facet : low,
  );
  return (
    <Card className="p-3">
      <div className="grid grid-cols-[168px_1fr] gap-3 items-center">
        <PetalMark facets={take.facets} score={take.score} size={168} labels />
        {children}
      </div>
      <Accordion.Root type="single" collapsible className="mt-2">
        {FACETS.map((name) => {
          const facet = judged.facets[name];
          const low = name === weakest && (facet.score ?? 100) < 85;
          return (
            <Accordion.Item key={name} value={name} className="border-t border-line">
              <Accordion.Header className="m-0">
                <Accordion.Trigger className="group grid grid-cols-[3.5rem_1fr_2.5rem_18px] gap-2 items-center w-full min-h-9 bg-transparent text-left cursor-pointer text-sm">
                  <span>{facet.name}</span>
                  <span className="h-1.5 rounded-md bg-haze overflow-hidden">
                    <span
                      className="block h-full rounded-md"
                      style={{
                        width: `${facet.score ?? 0}%`,
                        background: low ? 'var(--pollen)' : 'var(--larkspur)',
                      }}
                    />
                  </span>
                  <span className="figure text-right font-semibold">
                    {facet.score === null ? '–' : Math.round(facet.score)}
                  </span>
                  <ChevronDown
                    size={16}
                    aria-hidden
                    className="text-ink-soft group-data-[state=open]:rotate-180"
                  />
                </Accordion.Trigger>
              </Accordion.Header>
              <Accordion.Content className="pb-3 text-sm">
                <p className="m-0 mb-2 text-ink-soft">{facet.why}</p>
                <table className="w-full border-collapse">
                  <thead className="text-ink-soft text-left">
                    <tr>
                      <th className="font-normal">Measured</th>
                      <th className="font-normal text-right">Here</th>
                      <th className="font-normal text-right">Textbook</th>
                      <th className="font-normal text-right">Unusable</th>
                    </tr>
                  </thead>
                  <tbody>
                    {facet.figures.map((item) => (
                      <tr key={item.id} data-figure={item.id} className="border-t border-line align-top">
                        <td className="py-1 pr-2">
                          {item.label} <span className="text-ink-soft">({item.unit})</span>
                        </td>
                        <td
                          className={`figure py-1 text-right ${item.score < 60 ? 'text-brick font-semibold' : ''}`}
                        >
                          {number(item.value)}
                        </td>
                        <td className="figure py-1 text-right text-ink-soft">{number(item.textbook)}</td>
                        <td className="figure py-1 text-right text-ink-soft">{number(item.unusable)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Accordion.Content>
            </Accordion.Item>
          );
        })}
      </Accordion.Root>
    </Card>
  );
}

function number(value: number): string {
  const size = Math.abs(value);
  return figure(value, size >= 10 ? 0 : size >= 1 ? 1 : 2);
}
