// Which day was open in the field on this device last: what can still be opened where there is no network.
const KEY = 'larkspur:field';

export function keepLatestField(day: number): void {
  try {
    localStorage.setItem(KEY, String(day));
  } catch {
    // A device that keeps nothing offers nothing.
  }
}

export function latestField(): number | null {
  try {
    return Number(localStorage.getItem(KEY)) || null;
  } catch {
    return null;
  }
}
