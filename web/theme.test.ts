// Contrast of the tokens in every theme, by the relative luminance of WCAG 2.2 (section 1.4.3 and 1.4.11, and its
// glossary): 4.5 for text, 3 for strokes that carry meaning.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const css = readFileSync('web/theme.css', 'utf8');

function tokens(selector: string): Record<string, string> {
  const block = css.split(`${selector} {`)[1]?.split('\n}')[0] ?? '';
  return Object.fromEntries(
    [...block.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6})/g)].map((match) => [match[1] ?? '', match[2] ?? '']),
  );
}

const light = tokens(':root');
const themes = {
  desk: light,
  'edit room': { ...light, ...tokens(':root[data-theme="dark"]') },
  field: { ...light, ...tokens(':root[data-theme="field"]') },
};

function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const c = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: string, other: string): number {
  const [dark = 0, bright = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (bright + 0.05) / (dark + 0.05);
}

describe.each(Object.entries(themes))('the %s theme', (_, theme) => {
  const of = (name: string) => theme[name] ?? '#000000';

  it.each(['ink', 'ink-soft', 'larkspur', 'pollen-ink', 'leaf', 'brick'])('lets %s be read', (name) => {
    expect(contrast(of(name), of('paper'))).toBeGreaterThanOrEqual(4.5);
    expect(contrast(of(name), of('card'))).toBeGreaterThanOrEqual(4.5);
  });

  it.each(['climb', 'turn', 'run', 'slide', 'tilt'])('lets the name of the %s stave be read', (name) => {
    expect(contrast(of(name), of('card'))).toBeGreaterThanOrEqual(4.5);
  });

  it.each(['pollen', 'petal', 'larkspur'])('lets a stroke of %s be seen', (name) => {
    expect(contrast(of(name), of('card'))).toBeGreaterThanOrEqual(3);
  });

  it('lets words on a full button and on a chosen one be read', () => {
    expect(contrast(of('on-larkspur'), of('larkspur'))).toBeGreaterThanOrEqual(4.5);
    expect(contrast(of('ink'), of('haze'))).toBeGreaterThanOrEqual(4.5);
  });
});

it('measures contrast as the standard does', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 10);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});
