// One flight of an exercise: the clock, the fingers, the pictures and the ear of it. Everything that happens at each frame is written past
// React; what a person reads is told six times a second.

import { type RefObject, useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Schemas } from '~/api/client';
import { groundAt, lensRoll, lensTilt } from '~/flight/flight';
import type { Input } from '~/flight/input';
import { craftAt, everyOf, inFrame, subjectAt } from '~/flight/onPlan';
import { type Leg, legOf, returning } from '~/flight/returnHome';
import type { Aid, Session } from '~/flight/session';
import type { Sound } from '~/flight/sound';
import type { Drawn, Eye, FlightStage } from '~/stage/flightStage';
import type { Exercise } from './practiceStore';
import type { Sheet } from './RunningSheet';
import type { SmallSite } from './SmallSite';

export type Readout = {
  /** Of the plan; null while it waits for the press of record. */
  second: number | null;
  seconds: number;
  speed: number;
  climb: number;
  height: number;
  distance: number;
  battery: number;
  recording: number | null;
  tilt: number;
  /** Px that the craft is wide to the eyes. */
  wide: number;
  returning: Leg | null;
  called: boolean;
  frozen: boolean;
  cue: string;
  wind: number;
};

const EMPTY: Readout = {
  second: null,
  seconds: 0,
  speed: 0,
  climb: 0,
  height: 0,
  distance: 0,
  battery: 0,
  recording: null,
  tilt: 0,
  wide: 100,
  returning: null,
  called: false,
  frozen: false,
  cue: '',
  wind: 0,
};

/** A cue comes so long before its finger is due, s: the time of a word. */
const BEFORE = 0.6;

/** Milliseconds between looks at the fingers while no frame is drawn. */
const BETWEEN = 4;

/** Milliseconds between what is told. */
const TOLD = 160;

type Props = {
  exercise: Exercise;
  session: Session;
  input: Input;
  sound: Sound;
  aids: ReadonlySet<Aid>;
  stage: RefObject<FlightStage | null>;
  sheet: RefObject<Sheet | null>;
  site: RefObject<SmallSite | null>;
  eye: Eye;
  magnified: boolean;
  size: { width: number; height: number };
  running: boolean;
  onEnd: () => void;
};

/** Second of the plan that it is: it waits at its beginning until record is pressed, but for a loop, which is under way at once. */
function planSecond(exercise: Exercise, session: Session, automatic: boolean): number | null {
  if (automatic) return exercise.starts_at_s + session.seconds;
  const pressed = session.recorded[0];
  return pressed === undefined ? null : (session.steps - pressed[0]) * session.world.response.step_s;
}

export function useFlight(props: Props) {
  const [readout, setReadout] = useState<Readout>(EMPTY);
  const flyingHome = useRef<Leg | null>(null);
  const frame = useRef({ told: 0, cue: 0 });
  const looped = props.exercise.conditions.loop != null;

  /** As many steps as are due: asked at every frame and between frames, so that a finger is felt within a step of its press. */
  const stepOn = useEffectEvent((early = 0) => {
    const { exercise, session, input } = props;
    const dt = session.world.response.step_s;
    const height = exercise.return_height_m;
    session.advance(
      performance.now(),
      () => {
        const pressed = input.read(dt);
        const moved = Object.values(pressed).some((travel) => Math.abs(travel) > 0.15);
        // Any stick takes the craft back; the tilt works meanwhile, as it does.
        if (flyingHome.current !== null && (moved ? Math.abs(pressed.tilt) < 0.15 : false))
          flyingHome.current = null;
        if (flyingHome.current === null) return { fingers: pressed, automated: false };
        flyingHome.current = legOf(session.world, session.now.pose, height, flyingHome.current);
        return {
          fingers: {
            ...returning(session.world, session.now.pose, height, flyingHome.current),
            tilt: pressed.tilt,
          },
          automated: true,
        };
      },
      early,
    );
    if (input.lost && !session.isOver) session.stop(true);
    const loop = exercise.conditions.loop;
    if (loop != null && exercise.starts_at_s + session.seconds >= loop.to_s) session.stop();
  });

  const tick = useEffectEvent((clock: number) => {
    const { exercise, session, sound, aids } = props;
    const dt = session.world.response.step_s;
    stepOn();
    const { pose } = session.now;
    const before = session.before.pose;
    const share = session.between;
    const mix = (a: number, b: number) => a + share * (b - a);
    const planAt = planSecond(exercise, session, looped);
    const shownAt = planAt ?? 0;
    const drawn: Drawn = {
      pose: {
        x: mix(before.x, pose.x),
        y: mix(before.y, pose.y),
        z: mix(before.z, pose.z),
        heading: mix(before.heading, pose.heading),
        leanAhead: pose.leanAhead,
        leanRight: pose.leanRight,
      },
      lensTilt: lensTilt(session.world, pose),
      roll: lensRoll(session.world, pose),
      ghost: aids.has('ghost') && exercise.judged ? craftAt(exercise.plan, shownAt) : null,
      subject: subjectAt(exercise.plan, shownAt),
      magnified: props.magnified,
    };
    const { width, height: high } = props.size;
    const seen = props.stage.current?.draw(props.eye, drawn, width, high) ?? { wide: 100 };
    props.sheet.current?.draw(session.travel, session.steps, dt, planAt);
    props.site.current?.draw(drawn.pose, drawn.ghost, drawn.subject);
    hear(planAt, drawn);
    if (clock - frame.current.told > TOLD) {
      frame.current.told = clock;
      tell(seen.wide);
    }
    if (session.isOver) {
      sound.stray(null);
      tell(seen.wide);
      props.onEnd();
    }
  });

  const hear = (planAt: number | null, drawn: Drawn) => {
    const { exercise, sound, aids, session } = props;
    const cues = exercise.plan.cues.filter((cue) => cue.finger !== '');
    const next = cues[frame.current.cue];
    if (planAt !== null && next !== undefined && planAt >= next.t - BEFORE) {
      frame.current.cue++;
      if (planAt < next.t + 1 && aids.has('cue-voice')) sound.say(`now the ${next.finger}`);
      else if (planAt < next.t + 1 && aids.has('cue-sound')) sound.beep(next.finger === 'tilt');
    }
    const subject =
      drawn.subject ??
      (exercise.plan.subject && {
        x: exercise.plan.subject.east_m,
        y: exercise.plan.subject.north_m,
        z: exercise.plan.subject.up_m,
      });
    if (!aids.has('tone') || subject == null || session.isOver) return;
    const place = inFrame(exercise.plan.camera, drawn.pose, drawn.lensTilt, subject);
    const aim = exercise.plan.intent.aim as { x?: number; y?: number } | undefined;
    sound.stray(
      place === null ? 1 : Math.min(1, 2 * Math.hypot(place.u - (aim?.x ?? 0.5), place.v - (aim?.y ?? 0.5))),
    );
  };

  const tell = (wide: number) => {
    const { exercise, session } = props;
    const { pose } = session.now;
    const pressed = session.recorded[session.recorded.length - 1];
    const planAt = planSecond(exercise, session, looped);
    const due = planAt === null ? [] : exercise.plan.cues.filter((cue) => cue.t <= planAt + 1);
    const call = exercise.conditions.call_s ?? null;
    const [east, north] = session.now.air;
    setReadout({
      second: planAt,
      seconds: session.seconds,
      speed: Math.hypot(pose.east, pose.north),
      climb: pose.climb,
      height: pose.z - groundAt(session.world, pose.x, pose.y),
      distance: Math.hypot(
        pose.x - exercise.pilot.east_m,
        pose.y - exercise.pilot.north_m,
        pose.z - exercise.pilot.up_m,
      ),
      battery: Math.max(0, session.world.battery_s - session.seconds),
      recording:
        pressed !== undefined && session.isRecording
          ? (session.steps - pressed[0]) * session.world.response.step_s
          : null,
      tilt: lensTilt(session.world, pose),
      wide,
      returning: flyingHome.current,
      called: call !== null && session.seconds >= call && session.answered === null,
      frozen: session.frozen,
      cue: spoken(due[due.length - 1]),
      wind: Math.hypot(east, north),
    });
  };

  // Another flight begins with nothing of the one before.
  useEffect(() => {
    if (props.session.steps > 0) return;
    frame.current.cue = 0;
    flyingHome.current = null;
  }, [props.session]);

  useEffect(() => {
    if (!props.running) return;
    let handle = 0;
    let last = 0;
    const next = (clock: number) => {
      if (last > 0) props.stage.current?.keepPace(clock - last);
      last = clock;
      tick(clock);
      handle = requestAnimationFrame(next);
    };
    handle = requestAnimationFrame(next);
    const between = window.setInterval(() => stepOn(), BETWEEN);
    // A key is felt at once: its step comes before it is due, and the next one waits the longer.
    props.input.onPress = () => stepOn(props.session.world.response.step_s);
    return () => {
      cancelAnimationFrame(handle);
      window.clearInterval(between);
      props.input.onPress = null;
    };
  }, [props.running, props.stage, props.input, props.session]);

  return {
    readout,
    every: everyOf(props.exercise.plan),
    home: () => {
      flyingHome.current = flyingHome.current === null ? 'up' : null;
    },
  };
}

/** A cue with the thumb that it is for. */
function spoken(cue: Schemas['Cue'] | undefined): string {
  if (cue === undefined) return '';
  return cue.thumb === null ? cue.text : `${cue.thumb}: ${cue.text}`;
}
