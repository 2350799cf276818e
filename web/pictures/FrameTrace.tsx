// Frame trace: where the subject sat in the frame over the take, its planned mark, and the crop that would rescue it.
import { useSize } from '~/kit/useSize';
import { indexAt } from './scale';

type Props = {
  t: number[];
  u: (number | null)[];
  v: (number | null)[];
  aim: { u: number; v: number };
  aspect: number;
  /** Share of the picture that the crop takes away, percent. */
  crop: number;
  time: number | null;
};

export function FrameTrace({ t, u, v, aim, aspect, crop, time }: Props) {
  const [ref, size] = useSize<HTMLDivElement>();
  const width = Math.max(80, Math.min(size.width, size.height * aspect));
  const height = width / aspect;
  const px = (value: number) => (value + 0.5) * width;
  const py = (value: number) => (0.5 - value) * height;
  let path = '';
  let pen = false;
  for (let i = 0; i < t.length; i++) {
    const a = u[i];
    const b = v[i];
    if (a == null || b == null) {
      pen = false;
      continue;
    }
    path += `${pen ? 'L' : 'M'}${px(a).toFixed(1)} ${py(b).toFixed(1)}`;
    pen = true;
  }
  const now = time === null ? null : indexAt(t, time);
  const keep = Math.max(0, 1 - crop / 100);
  const at = now === null ? null : { u: u[now] ?? null, v: v[now] ?? null };
  return (
    <div
      ref={ref}
      className="size-full min-h-40 grid place-items-center overflow-hidden"
      data-picture="frame-trace"
    >
      <svg
        width={width}
        height={height}
        className="block overflow-hidden"
        role="img"
        aria-label={`Where the subject sat in the frame; a crop of ${Math.round(crop)} percent holds it`}
      >
        <rect width={width} height={height} fill="var(--ground)" opacity={0.5} />
        <g stroke="var(--line)">
          <path
            d={`M${width / 3} 0V${height}M${(2 * width) / 3} 0V${height}M0 ${height / 3}H${width}M0 ${(2 * height) / 3}H${width}`}
          />
        </g>
        {crop >= 0.5 && keep > 0 && (
          <g className="text-leaf">
            <rect
              x={px(aim.u) - (keep * width) / 2}
              y={py(aim.v) - (keep * height) / 2}
              width={keep * width}
              height={keep * height}
              fill="none"
              stroke="currentcolor"
              strokeWidth={1.6}
              strokeDasharray="5 4"
              data-role="crop"
            />
          </g>
        )}
        <path
          d={path}
          fill="none"
          stroke="var(--pollen)"
          strokeWidth={2}
          strokeLinejoin="round"
          data-role="trace"
        />
        <g
          transform={`translate(${px(aim.u)} ${py(aim.v)})`}
          stroke="var(--larkspur)"
          strokeWidth={1.8}
          fill="none"
        >
          <circle r={8} />
          <path d="M-13 0H-5M5 0H13M0 -13V-5M0 5V13" />
        </g>
        {at?.u != null && at.v != null && (
          <circle
            cx={px(at.u)}
            cy={py(at.v)}
            r={5}
            fill="var(--ink)"
            stroke="var(--card)"
            strokeWidth={1.5}
            data-role="now"
          />
        )}
        <rect x={0.5} y={0.5} width={width - 1} height={height - 1} fill="none" stroke="var(--ink)" />
      </svg>
    </div>
  );
}
