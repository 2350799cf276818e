// How far a step is, as one petal: dashed where it is closed, filled as far as the evidence goes, with a tip where somebody signed it.
import { useId } from 'react';
import type { Schemas } from '~/api/client';

export type StepState = Schemas['Step']['state'];

const SHAPE = 'M10 2C17 10 17 20 10 26C3 20 3 10 10 2Z';

export function StepPetal({ state, share }: { state: StepState; share: number }) {
  const id = useId();
  const passed = state === 'settled' || state === 'signed';
  const filled = passed || state === 'stale' ? 1 : state === 'closed' ? 0 : share;
  return (
    <svg width={20} height={28} aria-hidden>
      <clipPath id={id}>
        <rect x={0} y={26 - 24 * filled} width={20} height={28} />
      </clipPath>
      <path
        d={SHAPE}
        clipPath={`url(#${id})`}
        fill={passed ? 'var(--leaf)' : state === 'stale' ? 'var(--mesh)' : 'var(--petal)'}
      />
      <path
        d={SHAPE}
        fill="none"
        stroke={passed ? 'var(--leaf)' : state === 'closed' ? 'var(--ink-soft)' : 'var(--larkspur)'}
        strokeWidth={1.5}
        strokeDasharray={state === 'closed' || state === 'stale' ? '3 3' : undefined}
      />
      {state === 'signed' && <path d="M6 15l3 3 5-7" fill="none" stroke="var(--card)" strokeWidth={2} />}
    </svg>
  );
}
