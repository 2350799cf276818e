import { fireEvent, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw, giveSize } from '~/testing/page';
import { Cues } from './Cues';
import { Findings } from './Findings';
import { Shape } from './Shape';

beforeAll(() => giveSize(320, 40));

const finding = (change: Partial<Schemas['Finding']>): Schemas['Finding'] => ({
  id: 'slide',
  state: 'ok',
  text: 'Slide asks most: 2.5 of 8.3 m/s.',
  value: 2.5,
  limit: 8.3,
  unit: 'm/s',
  mend: null,
  ...change,
});
const plan = (findings: Schemas['Finding'][], change: Partial<Schemas['Plan']> = {}) =>
  ({ findings, comfortable: {}, decided: [], ...change }) as unknown as Schemas['Plan'];

describe('what stands against a plan', () => {
  it('says of each limit in words whether it is met, not by colour alone', () => {
    const findings = [
      finding({}),
      finding({ id: 'a', state: 'note' }),
      finding({ id: 'b', state: 'broken' }),
    ];
    draw(<Findings findings={findings} expectation={null} onMend={vi.fn()} />);
    expect(screen.getAllByLabelText(/fine|worth knowing|can’t be flown/)).toHaveLength(3);
  });

  it('mends a broken limit with one press', () => {
    const onMend = vi.fn();
    const mend = { text: 'Go at 7.9 m/s or slower.', parameters: { pace_mps: 7.9 } };
    draw(<Findings findings={[finding({ state: 'broken', mend })]} expectation={null} onMend={onMend} />);
    fireEvent.click(screen.getByRole('button', { name: mend.text }));
    expect(onMend).toHaveBeenCalledWith({ pace_mps: 7.9 });
  });

  it('only says what no dial can mend', () => {
    const mend = { text: 'Another day, or a heavier craft.', parameters: {} };
    draw(<Findings findings={[finding({ state: 'broken', mend })]} expectation={null} onMend={vi.fn()} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText(mend.text)).toBeTruthy();
  });

  it('tells the score to expect and what keeps it down, once it is known', () => {
    draw(<Findings findings={[]} expectation={null} onMend={vi.fn()} />);
    expect(screen.getByText('would score …')).toBeTruthy();
    document.body.innerHTML = '';
    const expected = { score: 91.6, limited_by: 'The eases are short.' } as Schemas['Expected'];
    draw(<Findings findings={[]} expectation={{ sentence: '', expected }} onMend={vi.fn()} />);
    expect(screen.getByText('92')).toBeTruthy();
    expect(screen.getByText('The eases are short.')).toBeTruthy();
  });

  it('always defers to sight and to local rules', () => {
    draw(<Findings findings={[]} expectation={null} onMend={vi.fn()} />);
    expect(screen.getByText(/local\s+authority/)).toBeTruthy();
  });
});

describe('cues', () => {
  it('stand in order and take the pictures to their time', () => {
    const moved = vi.fn();
    const cues = [
      { t: 3.2, finger: 'slide', text: 'Slide left to 37 %.' },
      { t: 3.6, finger: 'turn', text: 'Turn right to 22 %.' },
    ] as Schemas['Cue'][];
    draw(<Cues cues={cues} told={['Set off on “go”.']} onTime={moved} />);
    const buttons = screen.getAllByRole('button');
    expect(buttons.map((button) => button.textContent)).toEqual([
      '0:03.2Slide left to 37 %.',
      '0:03.6Turn right to 22 %.',
    ]);
    fireEvent.click(buttons[1] as HTMLElement);
    expect(moved).toHaveBeenCalledWith(3.6);
    expect(screen.getByText('Tell who is filmed').parentElement?.textContent).toContain('Set off on “go”.');
  });
});

describe('the dials of a move', () => {
  const parameters = [
    {
      id: 'radius_m',
      label: 'Radius',
      unit: 'm',
      least: 2,
      most: 500,
      step: 0.5,
      usual: [4, 80],
      choices: null,
    },
    {
      id: 'start_bearing_deg',
      label: 'Start',
      unit: 'deg',
      least: -360,
      most: 360,
      step: 5,
      usual: [0, 360],
      choices: null,
    },
    {
      id: 'direction',
      label: 'Way round',
      unit: null,
      least: null,
      most: null,
      step: null,
      usual: null,
      choices: ['clockwise', 'counterclockwise'],
    },
  ] satisfies Schemas['Parameter'][];
  const dials = (values: Record<string, number | string>, set = vi.fn(), decided: string[] = []) => {
    draw(
      <Shape
        set={set}
        values={values}
        parameters={parameters}
        plan={plan([], { comfortable: { radius_m: [10, 30] }, decided })}
        problem={null}
        move="orbit"
        moves={[]}
        onMove={vi.fn()}
      />,
    );
    return set;
  };

  it('stand for the parameters of the move, in their units', () => {
    dials({ radius_m: 21.5, start_bearing_deg: -10, direction: 'clockwise' });
    expect(screen.getByRole('slider', { name: 'Radius' }).getAttribute('aria-valuenow')).toBe('21.5');
    expect(screen.getByRole('slider', { name: 'Start' }).getAttribute('aria-valuenow')).toBe('350');
    expect(screen.getByRole('radio', { name: /^Clockwise/ }).getAttribute('aria-checked')).toBe('true');
  });

  it('set one parameter and leave the others', () => {
    const set = dials({ radius_m: 21.5, direction: 'clockwise' });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Radius' }), { key: 'ArrowRight' });
    expect(set).toHaveBeenLastCalledWith({ radius_m: 22 });
    fireEvent.click(screen.getByRole('radio', { name: /^Counter/ }));
    expect(set).toHaveBeenLastCalledWith({ direction: 'counterclockwise' });
  });

  it('are not offered for what the drawn way of the subject decides, and say so', () => {
    dials({ radius_m: 21.5, direction: 'clockwise' }, vi.fn(), ['radius_m']);
    expect(screen.queryByRole('slider', { name: 'Radius' })).toBeNull();
    expect(screen.getByRole('slider', { name: 'Start' })).toBeTruthy();
    expect(screen.getByText(/drawn on the site/)).toBeTruthy();
  });

  it('reach beyond the usual where the value does', () => {
    dials({ radius_m: 140 });
    expect(screen.getByRole('slider', { name: 'Radius' }).getAttribute('aria-valuemax')).toBe('140');
  });

  it('shows the heading that is flown where nobody set one', () => {
    const heading = {
      id: 'heading_deg',
      label: 'Heading',
      unit: 'deg',
      usual: [0, 360],
      step: 5,
    } as Schemas['Parameter'];
    draw(
      <Shape
        set={vi.fn()}
        values={{}}
        parameters={[heading]}
        plan={plan([], { comfortable: {}, samples: { heading_deg: [-50, -50] } as Schemas['Samples'] })}
        problem={null}
        move="push-in"
        moves={[]}
        onMove={vi.fn()}
      />,
    );
    expect(screen.getByRole('slider', { name: 'Heading' }).getAttribute('aria-valuenow')).toBe('310');
  });
});
