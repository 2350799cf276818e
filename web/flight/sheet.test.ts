import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { asked, type Fingers, flick, fly, rates, type Sheet, step, still } from './sheet';

type Case = { sheet: Sheet; inputs: number[][]; outcome: number[][] };
// Written by tests/Core/Flight/ResponseSheetTest.php from the server's own simulated craft.
const cases: Case[] = JSON.parse(readFileSync('tests/fixtures/response-sheet.json', 'utf8'));

const fingers = ([climb, turn, run, slide, tilt]: number[]): Fingers => ({
  climb: climb ?? 0,
  turn: turn ?? 0,
  run: run ?? 0,
  slide: slide ?? 0,
  tilt: tilt ?? 0,
});

describe('a response sheet', () => {
  it.each(cases.map((one, i) => [i, one] as const))('is stepped as the craft flies, case %i', (_, one) => {
    const states = fly(one.sheet, one.inputs.map(fingers), still());
    for (const [k, climb, turn, run, slide, tilt, heading, look] of one.outcome) {
      const state = states[k ?? 0];
      expect(state).toBeDefined();
      if (state === undefined) continue;
      const seen = rates(state);
      // A table of 201 places with straight lines between them is within half a percent of the top rate.
      expect(Math.abs(seen.climb - (climb ?? 0))).toBeLessThan(0.005 * one.sheet.axes.climb.top);
      expect(Math.abs(seen.turn - (turn ?? 0))).toBeLessThan(0.005 * one.sheet.axes.turn.top);
      expect(Math.abs(seen.run - (run ?? 0))).toBeLessThan(0.01 * one.sheet.axes.run.top);
      expect(Math.abs(seen.slide - (slide ?? 0))).toBeLessThan(0.01 * one.sheet.axes.slide.top);
      expect(Math.abs(seen.tilt - (tilt ?? 0))).toBeLessThan(0.005 * one.sheet.axes.tilt.top);
      expect(Math.abs(state.heading - (heading ?? 0))).toBeLessThan(0.5);
      expect(Math.abs(state.look - (look ?? 0))).toBeLessThan(0.5);
    }
  });

  it('reads its table between two places, and holds at the stops', () => {
    const axis = { unit: 'm/s', rates: [-4, 0, 2], top: 2, share: 1, most_per_step: null };
    expect(asked(axis, -0.5)).toBe(-2);
    expect(asked(axis, 0.25)).toBe(0.5);
    expect(asked(axis, 7)).toBe(2);
    expect(asked(axis, -7)).toBe(-4);
  });

  it('stops the lens at the ends of the gimbal', () => {
    const sheet = cases[0]?.sheet as Sheet;
    let state = still(sheet.tilt.high_deg - 0.1);
    for (let k = 0; k < 200; k++) state = step(sheet, state, fingers([0, 0, 0, 0, 1]));
    expect(state.look).toBe(sheet.tilt.high_deg);
    expect(state.tilt).toBe(0);
  });

  it('makes a flick of a press and its release', () => {
    const sheet = cases[0]?.sheet as Sheet;
    const inputs = flick(sheet, 'turn', 0.6, 1, 2);
    expect(inputs).toHaveLength(150);
    expect(inputs[49]?.turn).toBe(0.6);
    expect(inputs[50]?.turn).toBe(0);
    const states = fly(sheet, inputs, still());
    expect(Math.abs(states.at(-1)?.turn ?? 9)).toBeLessThan(0.1);
  });
});
