// Numbers as people read them. The foot of 0.3048 m and the mile of 1609.344 m are those of the 1959 agreement on the
// international yard (National Bureau of Standards, Federal Register 24 FR 5348).
import { describe, expect, it } from 'vitest';
import { clock, dateIn, day, figure, hour, shown, stored, withUnit } from './units';

describe('units', () => {
  it('converts by the exact factors, and back again', () => {
    expect(shown(0.3048, 'm', 'feet')).toEqual({ value: 1, unit: 'ft' });
    expect(shown(1609.344 / 3600, 'm/s', 'feet').value).toBeCloseTo(1, 12);
    for (const unit of ['m', 'm/s', 'deg', 's']) {
      for (const units of ['metric', 'feet'] as const) {
        expect(stored(shown(17.3, unit, units).value, unit, units)).toBeCloseTo(17.3, 12);
      }
    }
  });

  it('leaves metres, degrees and seconds alone', () => {
    expect(shown(12, 'm', 'metric')).toEqual({ value: 12, unit: 'm' });
    expect(shown(12, 'deg', 'feet')).toEqual({ value: 12, unit: 'deg' });
  });

  it('writes a true minus sign and never a negative nothing', () => {
    expect(figure(-3.25)).toBe('\u22123.3');
    expect(figure(-0.04)).toBe('0.0');
    expect(figure(-0.04, 2)).toBe('\u22120.04');
  });

  it('names its units without a line break before them', () => {
    expect(withUnit(8, 'm', 'metric')).toBe('8.0\u00a0m');
    expect(withUnit(8, 'm', 'feet')).toBe('26.2\u00a0ft');
    expect(withUnit(135.4, 'deg', 'metric', 0)).toBe('135\u00b0');
    expect(withUnit(12, 'deg/s', 'metric')).toBe('12.0\u00a0\u00b0/s');
  });

  it('says moments as the field does', () => {
    expect(clock(31.24)).toBe('0:31.2');
    expect(clock(59.96)).toBe('1:00.0');
    expect(clock(125)).toBe('2:05.0');
    expect(clock(-1)).toBe('0:00.0');
  });

  it('reads days in one time zone wherever the page is opened', () => {
    expect(day('2026-11-05T23:30:00+00:00')).toMatch(/5 Nov/);
    expect(hour('2026-11-05T23:30:00+00:00')).toBe('23:30');
    // Thirteen hours ahead in its summer, which is on the next date already.
    expect(hour('2026-11-05T23:30:00Z', 'Pacific/Auckland')).toBe('12:30');
    expect(hour(0, 'Asia/Kathmandu')).toBe('05:30');
    expect(dateIn('Pacific/Auckland', new Date('2026-11-05T23:30:00Z'))).toBe('2026-11-06');
    expect(dateIn('UTC', new Date('2026-11-05T23:30:00Z'))).toBe('2026-11-05');
  });
});
