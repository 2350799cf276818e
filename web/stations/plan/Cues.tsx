// The sheet in words: when which finger does what.

import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { clock } from '~/units';

type Props = {
  cues: Schemas['Cue'][];
  /** What a subject that moves is to be told. */
  told: string[];
  onTime: (time: number) => void;
};

export function Cues({ cues, told, onTime }: Props) {
  return (
    <Card className="p-3">
      <h2>In words</h2>
      <ol className="m-0 mt-2 p-0 list-none">
        {cues.map((cue) => (
          <li key={`${cue.t}-${cue.finger}-${cue.text}`}>
            <button
              type="button"
              className="grid grid-cols-[3.5rem_1fr] gap-2 w-full text-left py-1 text-sm cursor-pointer bg-transparent"
              onClick={() => onTime(cue.t)}
            >
              <span className="figure text-ink-soft">{clock(cue.t)}</span>
              <span>
                {cue.thumb && (
                  <span className="font-semibold" style={{ color: `var(--${cue.finger})` }}>
                    {cue.thumb}:{' '}
                  </span>
                )}
                {cue.text}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <SubjectBrief told={told} />
    </Card>
  );
}

/** What a subject that moves is to be told before the shot. */
export function SubjectBrief({ told }: { told: string[] }) {
  if (told.length === 0) return null;
  return (
    <section className="mt-3" data-brief="subject">
      <h3>Tell who is filmed</h3>
      <ul className="m-0 mt-1 pl-4 text-sm list-disc">
        {told.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </section>
  );
}
