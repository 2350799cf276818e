// One finger of a rig: its curve to be pulled or typed, its limit and cushion, and what each of them means in the air and in
// the picture.

import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Card } from '~/kit/Card';
import { NumberInput } from '~/kit/NumberInput';
import { CurveCard } from '~/pictures/CurveCard';
import { useSession } from '~/shell/session';
import { figure, shown, withUnit } from '~/units';
import { type Finger, RATES, type RigDraft, withMode } from './useRigDraft';

type Props = { draft: RigDraft; finger: Schemas['RigFinger']; distance: number };

export function FingerCard({ draft, finger, distance }: Props) {
  const { units, user } = useSession();
  const name = finger.finger as Finger;
  const top = shown(finger.top, finger.unit, units);
  const factor = finger.top === 0 ? 1 : top.value / finger.top;
  const unit = top.unit === 'deg/s' ? '\u00b0/s' : top.unit;
  const mode = draft.settings.modes[draft.mode];
  const set = (step: (now: typeof mode) => typeof mode) =>
    draft.change((settings) => withMode(settings, draft.mode, step));
  const bad = (end: string) => draft.problem?.details.errors.some((error) => error.place.endsWith(end));
  const travels = finger.unit === 'm/s';
  return (
    <Card
      caption={<span style={{ color: `var(--${name})`, fontWeight: 650 }}>{name}</span>}
      aside={`${finger.thumb}: ${finger.ends[0]} / ${finger.ends[1]}`}
    >
      <div className="px-3 pb-3 grid gap-2" data-finger={name}>
        <CurveCard
          points={finger.points.map(([a, b]) => [a ?? 0, (b ?? 0) * factor])}
          unit={unit}
          top={top.value}
          comfort={user.comfort}
          color={`var(--${name})`}
          label={`Curve of ${name}`}
          onPull={(travel, output) => draft.pull(name, travel, output)}
        />
        <AtTravel finger={finger} />
        <dl className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-0.5 m-0 text-sm items-baseline">
          <dt>Curve</dt>
          <dd className="m-0 text-right">
            <CurveNumbers draft={draft} finger={name} />
          </dd>
          <dd className="m-0 col-span-2 text-ink-soft -mt-0.5">
            {finger.convention}. {finger.feel}
          </dd>
          {name === 'tilt' ? (
            <>
              <dt>Top rate</dt>
              <dd className="m-0 text-right">
                <NumberInput
                  label="Top rate of tilt"
                  value={mode.gimbal.top_rate_dps}
                  unit="deg/s"
                  units={units}
                  warn={bad('gimbal.top_rate_dps')}
                  limits={LIMITS.rig[`modes.${draft.mode}.gimbal.top_rate_dps`]}
                  onChange={(rate) =>
                    set((now) => ({ ...now, gimbal: { ...now.gimbal, top_rate_dps: rate } }))
                  }
                />
              </dd>
            </>
          ) : (
            RATES[name].map((rate, way) => (
              <div key={rate} className="contents">
                <dt>Top rate{RATES[name].length > 1 ? `, ${finger.ends[1 - way]}` : ''}</dt>
                <dd className="m-0 text-right">
                  <NumberInput
                    label={`Top rate of ${name}${RATES[name].length > 1 ? `, ${finger.ends[1 - way]}` : ''}`}
                    value={mode[rate] as number}
                    unit={finger.unit}
                    units={units}
                    warn={bad(rate)}
                    limits={LIMITS.rig[`modes.${draft.mode}.${rate}`]}
                    onChange={(value) => set((now) => ({ ...now, [rate]: value }))}
                  />
                </dd>
              </div>
            ))
          )}
          {finger.cushion_s !== null && (
            <>
              <dt>Cushion, until it is there</dt>
              <dd className="m-0 text-right">
                <NumberInput
                  label={`Cushion of ${name}`}
                  value={finger.cushion_s}
                  unit="s"
                  units={units}
                  places={2}
                  warn={bad(name === 'tilt' ? 'gimbal.cushion_s' : 'lag_s.turn') || bad('cushion.seconds')}
                  limits={LIMITS.rig[`modes.${draft.mode}.gimbal.cushion_s`]}
                  onChange={(seconds) => draft.cushion(name as 'turn' | 'tilt', seconds)}
                />
              </dd>
            </>
          )}
        </dl>
        <dl className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-0.5 m-0 text-sm border-t border-line pt-2">
          <Row name="Half stick" value={withUnit(finger.half_stick, finger.unit, units)} />
          <Row
            name={`In the picture${travels ? `, ${withUnit(distance, 'm', units, 0)} off` : ''}: half, full`}
            value={`${figure(finger.half_widths, 2)}, ${figure(finger.top_widths, 2)} widths/s`}
          />
          <Row name="There after" value={`${figure(finger.start_s, 1)} s`} />
          <Row
            name="At rest again after"
            value={`${figure(finger.stop_s, 1)} s, ${travels ? withUnit(finger.stop_way, 'm', units) : `${figure(finger.stop_way, 0)}\u00b0`}`}
          />
          <Row
            name="Finest nudge you can rely on"
            value={`${withUnit(finger.nudge, finger.unit, units, 2)}, ${figure(100 * finger.nudge_widths, 1)} %/s`}
          />
          {finger.quarter_s !== null && (
            <Row
              name={finger.round_s === null ? '90° take' : '90°, a full turn take'}
              value={[finger.quarter_s, finger.round_s]
                .filter((one) => one !== null)
                .map((one) => `${figure(one)} s`)
                .join(', ')}
            />
          )}
        </dl>
        {finger.own !== null && (
          <OwnNumbers draft={draft} finger={name as 'turn' | 'tilt'} own={finger.own} />
        )}
        <details className="text-sm">
          <summary className="cursor-pointer min-h-6 text-ink-soft">This curve in other words</summary>
          <dl className="grid grid-cols-[5.5rem_1fr] gap-x-3 gap-y-1 m-0 pt-1 items-baseline">
            {finger.says.map((said) => (
              <div key={said.kind} className="contents">
                <dt className="text-right">
                  <NumberInput
                    label={`Curve of ${name} as ${said.kind}`}
                    value={said.curve?.value ?? said.curve?.centre ?? 0}
                    unit=""
                    units={units}
                    places={said.kind === 'half-stick' || said.kind === 'soft-expo' ? 2 : 0}
                    className="w-20"
                    onChange={(value) =>
                      set((now) => ({
                        ...now,
                        curves: {
                          ...now.curves,
                          [name]:
                            said.kind === 'rates'
                              ? { kind: 'rates', centre: value, end: finger.top }
                              : { kind: said.kind, value },
                        },
                      }))
                    }
                  />
                </dt>
                <dd className="m-0 text-ink-soft">
                  {said.convention}. {CLOSENESS[said.closeness]}
                  {said.closeness === 'close' || said.closeness === 'rough'
                    ? `, ${figure(100 * said.difference, 1)} % of the rate off at most, ${figure(100 * Math.abs(said.at_tenth), 1)} % at a tenth of the travel`
                    : ''}
                  .
                  {said.kind === draft.rig.convention &&
                    said.kind !== finger.curve.kind &&
                    said.curve !== null && (
                      <button
                        type="button"
                        className="min-h-11 px-2 text-larkspur underline bg-transparent border-0 cursor-pointer"
                        onClick={() =>
                          set((now) => ({
                            ...now,
                            curves: { ...now.curves, [name]: said.curve as Schemas['RigCurve'] },
                          }))
                        }
                      >
                        Say it so: this craft does
                      </button>
                    )}
                </dd>
              </div>
            ))}
          </dl>
        </details>
      </div>
    </Card>
  );
}

/** What the curve gives at any travel: read between the points that the server worked out. */
function AtTravel({ finger }: { finger: Schemas['RigFinger'] }) {
  const { units } = useSession();
  const [travel, setTravel] = useState(0.25);
  const at = travel * (finger.points.length - 1);
  const below = Math.min(finger.points.length - 2, Math.floor(at));
  const [a, b] = [finger.points[below]?.[1] ?? 0, finger.points[below + 1]?.[1] ?? 0];
  const rate = a + (at - below) * (b - a);
  return (
    <label className="grid grid-cols-[1fr_auto] gap-x-3 items-center text-sm min-h-11">
      <input
        type="range"
        min={0}
        max={1}
        step={0.01}
        value={travel}
        className="accent-larkspur w-full min-h-11"
        aria-label={`Travel of ${finger.finger} to read the curve at`}
        aria-valuetext={`${figure(100 * travel, 0)} % of the travel asks for ${withUnit(rate, finger.unit, units, 2)}`}
        onChange={(event) => setTravel(Number(event.target.value))}
      />
      <span className="figure text-right w-36">
        {figure(100 * travel, 0)} %: {withUnit(rate, finger.unit, units, 2)}
      </span>
    </label>
  );
}

/** A rate and a cushion as the menus of this craft have them. */
function OwnNumbers({
  draft,
  finger,
  own,
}: {
  draft: RigDraft;
  finger: 'turn' | 'tilt';
  own: Schemas['OwnNumbers'];
}) {
  const { units } = useSession();
  const rate = (value: number) => {
    const dps = value / own.rate_per_dps;
    draft.change((settings) =>
      withMode(settings, draft.mode, (now) =>
        finger === 'tilt'
          ? { ...now, gimbal: { ...now.gimbal, top_rate_dps: dps } }
          : { ...now, turn_dps: dps },
      ),
    );
  };
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3 m-0 text-sm items-baseline text-ink-soft">
      <dt>Speed, as this craft’s menu has it</dt>
      <dd className="m-0 text-right">
        <NumberInput
          label={`Speed of ${finger} in the craft’s own number`}
          value={own.rate}
          unit=""
          units={units}
          places={1}
          className="w-20"
          onChange={rate}
        />
      </dd>
      <dt>Smoothness, likewise</dt>
      <dd className="m-0 text-right">
        <NumberInput
          label={`Smoothness of ${finger} in the craft’s own number`}
          value={own.cushion}
          unit=""
          units={units}
          places={1}
          className="w-20"
          onChange={(value) => draft.cushion(finger, value / own.cushion_per_s)}
        />
      </dd>
    </dl>
  );
}

const CLOSENESS = {
  same: 'The same curve',
  close: 'Close',
  rough: 'Only roughly',
  none: 'It has no number for this curve; type one and the curve becomes it',
};

function Row({ name, value, soft = false }: { name: string; value: string; soft?: boolean }) {
  return (
    <>
      <dt className={soft ? 'text-ink-soft' : ''}>{name}</dt>
      <dd className={`figure m-0 text-right ${soft ? 'text-ink-soft' : ''}`}>{value}</dd>
    </>
  );
}

/** The number or numbers of a curve, typed; of a drawn one there is none. */
function CurveNumbers({ draft, finger }: { draft: RigDraft; finger: Finger }) {
  const { units } = useSession();
  const curve = draft.settings.modes[draft.mode].curves[finger];
  const set = (next: Schemas['RigCurve']) =>
    draft.change((settings) =>
      withMode(settings, draft.mode, (now) => ({ ...now, curves: { ...now.curves, [finger]: next } })),
    );
  const bad = draft.problem?.details.errors.some((error) => error.place.includes(`curves.${finger}`));
  if (curve.kind === 'drawn') return <span className="figure">drawn</span>;
  if (curve.kind === 'rates') {
    return (
      <>
        {(['centre', 'end'] as const).map((part) => (
          <NumberInput
            key={part}
            label={`Curve of ${finger}, ${part === 'centre' ? 'about the centre' : 'at full stick'}`}
            value={curve[part] ?? 0}
            unit=""
            units={units}
            places={0}
            className="w-14"
            warn={bad}
            onChange={(value) => set({ ...curve, [part]: value })}
          />
        ))}
      </>
    );
  }
  return (
    <NumberInput
      label={`Curve of ${finger}`}
      value={curve.value ?? 0}
      unit=""
      units={units}
      places={curve.kind === 'half-stick-percent' ? 0 : 2}
      className="w-20"
      warn={bad}
      onChange={(value) => set({ ...curve, value })}
    />
  );
}
