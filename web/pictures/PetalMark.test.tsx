import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { PetalMark, petalPath } from './PetalMark';

/** The topmost point of a petal. */
const tip = (path: string) =>
  Math.min(...[...path.matchAll(/-?\d+(\.\d+)?/g)].map((match) => Number(match[0])));

describe('the petal mark', () => {
  it('grows its petals with the score, evenly', () => {
    expect(tip(petalPath(80)) - tip(petalPath(60))).toBeCloseTo(tip(petalPath(60)) - tip(petalPath(40)), 9);
    expect(tip(petalPath(100))).toBeLessThan(tip(petalPath(10)));
  });

  it('says itself in words', () => {
    render(
      <PetalMark facets={{ ease: 91.4, flow: 70, hold: null, line: 88, frame: 95 }} score={84.6} size={40} />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Score 85. Ease 91, Flow 70, Hold not known, Line 88, Frame 95',
    );
  });

  it('marks the weakest petal only where it is weak, and leaves out what is not known', () => {
    const fills = (facets: Parameters<typeof PetalMark>[0]['facets']) => {
      const { container, unmount } = render(<PetalMark facets={facets} score={80} size={24} />);
      const all = [...container.querySelectorAll('path')].map((path) => path.getAttribute('fill'));
      unmount();
      return all;
    };
    expect(fills({ ease: 92, flow: 91, hold: 93, line: 96, frame: 99 })).not.toContain('var(--pollen)');
    const weak = fills({ ease: 92, flow: 51, hold: null, line: 60, frame: 99 });
    expect(weak.filter((fill) => fill === 'var(--pollen)')).toHaveLength(1);
    expect(weak.filter((fill) => fill === 'var(--larkspur)')).toHaveLength(3);
  });
});
