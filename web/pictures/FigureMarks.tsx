// The marks of a figure on the site sheet: a ring where each was planned, a dot where it was flown, a line between, and the number that the
// table beside it uses. Marks at one place share a number tag.
import type { Schemas } from '~/api/client';
import { type Units, withUnit } from '~/units';
import type { Scale } from './scale';

type Mark = Schemas['ReplayMark'];

/** Marks nearer to each other than this share a tag, px. */
const TOGETHER = 8;

const NAMES: Record<Mark['kind'], string> = {
  corner: 'corner',
  heading: 'turn',
  touchdown: 'touchdown',
  crossing: 'crossing',
  close: 'end',
  seam: 'seam',
  end: 'end',
};

export function FigureMarks({ marks, x, y, units }: { marks: Mark[]; x: Scale; y: Scale; units: Units }) {
  return (
    <g data-role="figure-marks">
      {marks.map((mark, i) => (
        <g key={`${mark.kind} ${mark.t_s}`} data-mark={i + 1}>
          <title>{`${i + 1}: ${NAMES[mark.kind]}, ${withUnit(
            Math.hypot(mark.east_m - mark.planned_east_m, mark.north_m - mark.planned_north_m),
            'm',
            units,
            1,
          )} from where it was planned`}</title>
          <path
            d={`M${x(mark.planned_east_m)} ${y(mark.planned_north_m)}L${x(mark.east_m)} ${y(mark.north_m)}`}
            stroke="var(--ink-soft)"
          />
          <circle
            cx={x(mark.planned_east_m)}
            cy={y(mark.planned_north_m)}
            r={5}
            fill="none"
            stroke="var(--larkspur)"
            strokeWidth={1.5}
          />
          <circle cx={x(mark.east_m)} cy={y(mark.north_m)} r={3} fill="var(--pollen)" stroke="var(--ink)" />
        </g>
      ))}
      {tagsOf(marks, x, y).map((tag) => (
        <text
          key={tag.text}
          className="halo"
          x={tag.x + 8}
          y={tag.y - 6}
          fontSize={11}
          fill="var(--larkspur)"
        >
          {tag.text}
        </text>
      ))}
    </g>
  );
}

/** The numbers, one tag for all marks that were planned at one place. */
export function tagsOf(marks: Mark[], x: Scale, y: Scale): { text: string; x: number; y: number }[] {
  const tags: { text: string; x: number; y: number }[] = [];
  marks.forEach((mark, i) => {
    const at = { x: x(mark.planned_east_m), y: y(mark.planned_north_m) };
    const near = tags.find((tag) => Math.hypot(tag.x - at.x, tag.y - at.y) < TOGETHER);
    if (near) near.text += `, ${i + 1}`;
    else tags.push({ text: String(i + 1), ...at });
  });
  return tags;
}
