import { describe, expect, it } from 'vitest';
import { valueAt, withValue } from './places';

const craft = { mass_kg: 1.2, stock: { width_m: 0.4, tilt: { low: -90 } }, camera: { focal_mm: [24] } };

describe('a number by its place', () => {
  it.each([
    ['mass_kg', 1.2],
    ['stock.tilt.low', -90],
    ['stock.tilt.high', 0],
    ['nowhere.at.all', 0],
  ])('%s is read as %d', (place, value) => {
    expect(valueAt(craft, place)).toBe(value);
  });

  it('is put, and all else stays as it was', () => {
    const next = withValue(craft, 'stock.tilt.low', -80);
    expect(next).toEqual({ ...craft, stock: { width_m: 0.4, tilt: { low: -80 } } });
    expect(next.camera).toBe(craft.camera);
    expect(craft.stock.tilt.low).toBe(-90);
  });

  it('is put where there was none', () => {
    expect(withValue(craft, 'stock.tilt.high', 30).stock.tilt).toEqual({ low: -90, high: 30 });
  });
});
