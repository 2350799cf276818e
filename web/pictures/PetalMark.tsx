// The petal mark: five facets as the five sepals of a larkspur, petal length the sub-score, the overall score in the
// middle. Works from 24 px to 320 px, in one colour, and says itself in words.
type Facets = Record<'ease' | 'flow' | 'hold' | 'line' | 'frame', number | null>;

export const FACETS = ['ease', 'flow', 'hold', 'line', 'frame'] as const;

const NAMES = { ease: 'Ease', flow: 'Flow', hold: 'Hold', line: 'Line', frame: 'Frame' };
const INNER = 15;
const REACH = 34;

/** A petal of a given length, pointing up from the middle. */
export function petalPath(score: number): string {
  const length = INNER + (REACH * Math.max(4, score)) / 100;
  const wide = 5 + (7 * Math.max(10, score)) / 100;
  const belly = INNER + (length - INNER) * 0.62;
  return `M0 ${-INNER + 2} C ${wide} ${-INNER - 4} ${wide * 1.15} ${-belly} 0 ${-length} C ${-wide * 1.15} ${-belly} ${-wide} ${-INNER - 4} 0 ${-INNER + 2}Z`;
}

type Props = { facets: Facets; score: number; size: number; labels?: boolean; title?: string };

export function PetalMark({ facets, score, size, labels = false, title }: Props) {
  const words = FACETS.map(
    (facet) => `${NAMES[facet]} ${facets[facet] === null ? 'not known' : Math.round(facets[facet])}`,
  ).join(', ');
  const weakest = FACETS.reduce((low, facet) =>
    (facets[facet] ?? 101) < (facets[low] ?? 101) ? facet : low,
  );
  const box = labels ? 66 : 52;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${-box} ${-box} ${2 * box} ${2 * box}`}
      role="img"
      aria-label={`${title ?? 'Score'} ${Math.round(score)}. ${words}`}
      className="text-ink shrink-0"
    >
      {FACETS.map((facet, index) => {
        const value = facets[facet];
        const low = facet === weakest && (value ?? 100) < 85;
        return (
          <g key={facet} transform={`rotate(${72 * index})`}>
            <path d={petalPath(100)} fill="none" stroke="var(--petal)" strokeOpacity={0.45} strokeWidth={1} />
            {value !== null && (
              <path d={petalPath(value)} fill={low ? 'var(--pollen)' : 'var(--larkspur)'} stroke="none" />
            )}
            {labels && (
              <text
                transform={`translate(0 ${-58}) rotate(${-72 * index})`}
                textAnchor="middle"
                dominantBaseline="middle"
                fontSize={7}
                fill="var(--ink-soft)"
              >
                {NAMES[facet]}
              </text>
            )}
          </g>
        );
      })}
      {size >= 40 && (
        <>
          <circle r={12.5} fill="var(--card)" />
          <text
            textAnchor="middle"
            dominantBaseline="central"
            fontSize={13}
            fontWeight={700}
            fill="currentColor"
          >
            {Math.round(score)}
          </text>
        </>
      )}
    </svg>
  );
}
