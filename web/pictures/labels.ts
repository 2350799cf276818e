// Where the names of things on a sheet go: beside what they name, inside the sheet, and clear of each other and of the
// marks that must stay readable.
export type Box = { left: number; top: number; right: number; bottom: number };
export type Named = { text: string; of: Box };
export type Label = { text: string; x: number; y: number };

const LINE = 14;
const GAP = 5;

/** Width of a letter of a label; the field theme writes larger. */
const letter = () => (document.documentElement.dataset.theme === 'field' ? 7.4 : 5.9);

/** Labels with their left end and baseline; one that finds no free place is left out. */
export function placeLabels(
  wanted: Named[],
  taken: Box[],
  width: number,
  height: number,
  perLetter = letter(),
): Label[] {
  const full = [...taken];
  const labels: Label[] = [];
  for (const { text, of } of wanted) {
    const long = text.length * perLetter;
    const middle = (of.top + of.bottom) / 2 - LINE / 2;
    const within = (left: number) => Math.max(2, Math.min(width - 2 - long, left));
    const centre = within((of.left + of.right) / 2 - long / 2);
    const places: [number, number][] = [
      [of.right + GAP, middle],
      [of.left - GAP - long, middle],
      [centre, of.bottom + 2],
      [centre, of.top - 2 - LINE],
      [within(of.right - long), of.bottom + 2],
      [within(of.left), of.bottom + 2],
      [within(of.right - long), of.top - 2 - LINE],
      [within(of.left), of.top - 2 - LINE],
    ];
    for (const [left, top] of places) {
      const box = { left, top, right: left + long, bottom: top + LINE };
      const inside = left >= 2 && top >= 2 && box.right <= width - 2 && box.bottom <= height - 2;
      if (inside && !full.some((other) => meet(box, other))) {
        full.push(box);
        labels.push({ text, x: left, y: top + LINE - 3 });
        break;
      }
    }
  }
  return labels;
}

export function around(x: number, y: number, half: number): Box {
  return { left: x - half, top: y - half, right: x + half, bottom: y + half };
}

/** Whether two boxes share any area. */
export function meet(one: Box, other: Box): boolean {
  return one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;
}
