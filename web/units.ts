// Shows numbers in the units that the operator chose. The server speaks metres and m/s; factors are exact (1959).
export type Units = 'metric' | 'feet';

const FOOT = 0.3048;
const MILE_PER_HOUR = 0.44704;

/** A number as people read it: fixed places, a true minus sign, and never "-0". */
export function figure(value: number, places = 1): string {
  const text = value.toFixed(places);
  return (Number(text) === 0 ? (0).toFixed(places) : text).replace('-', '\u2212');
}

/** Value and unit of a quantity, converted where the operator wants feet. */
export function shown(value: number, unit: string, units: Units): { value: number; unit: string } {
  if (units === 'feet') {
    if (unit === 'm') return { value: value / FOOT, unit: 'ft' };
    if (unit === 'm/s') return { value: value / MILE_PER_HOUR, unit: 'mph' };
  }
  return { value, unit };
}

/** The way back, for what was typed. */
export function stored(value: number, unit: string, units: Units): number {
  if (units === 'feet') {
    if (unit === 'm') return value * FOOT;
    if (unit === 'm/s') return value * MILE_PER_HOUR;
  }
  return value;
}

const NAMES: Record<string, string> = {
  deg: '\u00b0',
  'deg/s': '\u00b0/s',
  'deg/s2': '\u00b0/s\u00b2',
  'm/s2': 'm/s\u00b2',
  '%': '%',
};

export function withUnit(value: number, unit: string, units: Units, places = 1): string {
  const own = shown(value, unit, units);
  const name = NAMES[own.unit] ?? own.unit;
  return `${figure(own.value, places)}${name === '\u00b0' || name === '' ? '' : '\u00a0'}${name}`;
}

/** Seconds as the field says them: 0:31.2. */
export function clock(seconds: number): string {
  const tenths = Math.round(10 * Math.max(0, seconds));
  const minutes = Math.floor(tenths / 600);
  return `${minutes}:${((tenths - 600 * minutes) / 10).toFixed(1).padStart(4, '0')}`;
}

/** A day as people say it, by the clock of a time zone. */
export function day(iso: string, zone = 'UTC'): string {
  return new Date(iso).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: zone,
  });
}

/** What the clock of a time zone shows at an instant: 09:30. */
export function hour(iso: string | number | Date, zone = 'UTC'): string {
  return new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone });
}

/** The date there at an instant: 2026-06-03. */
export function dateIn(zone: string, at = new Date()): string {
  // Swedish dates are written as ISO 8601 has them.
  return at.toLocaleDateString('sv-SE', { timeZone: zone });
}

/** Day and hour by the reader's own clock, such as "29 Nov 2026, 14:05". */
export function dayAndTime(iso: string): string {
  return new Date(iso).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
}
