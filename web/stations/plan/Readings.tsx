// What a planned shot has to say for itself, one question a view: reveal, depth, room, wind, edit, and what else could be flown. Every
// number and sentence is the server's; here they become one picture each.
import type { ReactNode } from 'react';
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { SmallFrame } from '~/pictures/FrameStrip';
import { useSession } from '~/shell/session';
import { clock, figure, withUnit } from '~/units';

export type ReadingView = 'reveal' | 'depth' | 'room' | 'wind' | 'edit' | 'variants';

type Props = {
  view: ReadingView;
  plan: Schemas['Plan'];
  /** null until it has been read. */
  reading: Schemas['Reading'] | null;
  onVariant: (variant: Schemas['Variant']) => void;
};

export function Readings({ view, plan, reading, onVariant }: Props) {
  if (reading === null) return <p className="m-0 p-4 text-ink-soft">Reading it …</p>;
  return (
    <section
      className="h-full overflow-auto p-3"
      data-reading={view}
      aria-label={view}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reachable
      tabIndex={0}
    >
      {view === 'reveal' && <Reveal plan={plan} reading={reading.reveal} />}
      {view === 'depth' && <Depth reading={reading.depth} />}
      {view === 'room' && <Room reading={reading.room} />}
      {view === 'wind' && <Wind reading={reading.wind} />}
      {view === 'edit' && <Edit reading={reading.edit} aspect={plan.camera.aspect} />}
      {view === 'variants' && <VariantList reading={reading} onVariant={onVariant} />}
    </section>
  );
}

function Two({ picture, sentences }: { picture: ReactNode; sentences: string[] }) {
  return (
    <div className="grid gap-4 sm:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] items-start">
      <div className="min-w-0">{picture}</div>
      <ul className="m-0 p-0 list-none grid gap-2">
        {sentences.map((text) => (
          <li key={text} className="border-l-3 border-petal pl-3">
            {text}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Reveal({ plan, reading }: { plan: Schemas['Plan']; reading: Schemas['RevealReading'] }) {
  const first = plan.frames[0];
  const last = plan.frames.at(-1);
  const { onset_s, stop_s } = plan.phases;
  const share = (t: number) => `${(100 * (t - onset_s)) / Math.max(0.1, stop_s - onset_s)}%`;
  const seenFrom = reading.first === 'seen' ? onset_s : reading.appears_s;
  return (
    <Two
      sentences={reading.sentences}
      picture={
        <div className="grid gap-3">
          <div className="flex gap-3">
            {[
              { frame: first, words: `First frame: ${reading.first}` },
              { frame: last, words: `Last frame: ${reading.last}` },
            ].map(
              ({ frame, words }) =>
                frame && (
                  <figure key={words} className="m-0 grid gap-1 min-w-0">
                    <SmallFrame frame={frame} width={210} height={210 / plan.camera.aspect} />
                    <figcaption className="text-sm text-ink-soft">{words}</figcaption>
                  </figure>
                ),
            )}
          </div>
          <div>
            <div className="relative h-5 rounded-md bg-haze" role="img" aria-label="When the subject is seen">
              {seenFrom !== null && (
                <span
                  className="absolute inset-y-0 rounded-md bg-leaf"
                  style={{ left: share(seenFrom), right: 0 }}
                />
              )}
              {reading.tilt_begins_s !== null && (
                <span
                  className="absolute -inset-y-1 w-[3px] bg-tilt"
                  style={{ left: share(reading.tilt_begins_s) }}
                />
              )}
            </div>
            <div className="flex justify-between text-sm text-ink-soft">
              <span>{clock(onset_s)}</span>
              <span>
                <span className="inline-block size-3 rounded-[2px] bg-leaf align-[-1px]" /> seen
                {reading.tilt_begins_s !== null && (
                  <>
                    {' '}
                    <span className="inline-block w-[3px] h-3 bg-tilt align-[-1px]" /> the wheel sets out
                  </>
                )}
              </span>
              <span>{clock(stop_s)}</span>
            </div>
          </div>
        </div>
      }
    />
  );
}

function Depth({ reading }: { reading: Schemas['DepthReading'] }) {
  const { units } = useSession();
  const layers = [reading.near, reading.far].filter((layer) => layer !== null);
  const most = Math.max(0.01, ...layers.map((layer) => layer.widths_ps));
  return (
    <Two
      sentences={reading.sentences}
      picture={
        <div className="grid gap-3">
          {layers.map((layer, index) => (
            <div key={layer.name} className="grid gap-1">
              <span className="text-sm">
                {index === 0 ? 'Near' : 'Far'}: {layer.name}
                {layer.distance_m < 2900 && `, ${withUnit(layer.distance_m, 'm', units, 0)} away`}
              </span>
              <div className="flex items-center gap-3">
                <span className="grow h-4 bg-haze rounded-md">
                  <span
                    className={`block h-4 rounded-md ${index === 0 ? 'bg-larkspur' : 'bg-petal'}`}
                    style={{ width: `${Math.max(0.6, (100 * layer.widths_ps) / most)}%` }}
                  />
                </span>
                <span className="figure w-32 text-right">{figure(100 * layer.widths_ps, 1)} % a second</span>
              </div>
            </div>
          ))}
          <p className="m-0 text-ink-soft text-sm">
            Share of the picture’s width that each layer crosses in a second.
          </p>
        </div>
      }
    />
  );
}

function Room({ reading }: { reading: Schemas['RoomReading'] }) {
  const { units } = useSession();
  const most = Math.max(10, ...reading.solids.slice(0, 6).map((one) => Math.min(60, one.distance_m)));
  return (
    <Two
      sentences={reading.sentences}
      picture={
        reading.solids.length === 0 ? (
          <p className="m-0 text-ink-soft">Nothing is drawn on this site yet. Draw what stands there.</p>
        ) : (
          <ul className="m-0 p-0 list-none grid gap-1.5">
            {reading.solids.slice(0, 6).map((one) => (
              <li
                key={one.id + one.name}
                className="grid grid-cols-[9rem_1fr_5rem] gap-2 items-center text-sm"
              >
                <span className="truncate">{one.name}</span>
                <span className="relative h-4 bg-haze rounded-md">
                  <span
                    className={`absolute inset-y-0 left-0 rounded-md ${one.ok ? 'bg-leaf' : 'bg-brick'}`}
                    style={{ width: `${Math.min(100, (100 * one.distance_m) / most)}%` }}
                  />
                  <span
                    className="absolute -inset-y-0.5 w-[2px] bg-ink"
                    style={{ left: `${(100 * one.margin_m) / most}%` }}
                  />
                </span>
                <span className={`figure text-right ${one.ok ? '' : 'text-brick font-semibold'}`}>
                  {withUnit(one.distance_m, 'm', units)}
                </span>
              </li>
            ))}
            <li className="text-sm text-ink-soft">The line in each bar is the least that is kept.</li>
          </ul>
        )
      }
    />
  );
}

function Wind({ reading }: { reading: Schemas['WindReading'] }) {
  const { units } = useSession();
  const most =
    1.1 *
    Math.max(reading.top_mps, reading.upwind_mps + reading.gust_mps - reading.mean_mps, reading.rated_mps);
  const at = (value: number) => `${(100 * value) / most}%`;
  return (
    <Two
      sentences={reading.sentences}
      picture={
        <div className="grid gap-4 pt-1">
          <div>
            <span className="text-sm">Speed through the air along the way</span>
            <div className="relative h-6 bg-haze rounded-md mt-1">
              <span
                className={`absolute inset-y-0 rounded-md ${reading.holds ? 'bg-leaf' : 'bg-brick'}`}
                style={{
                  left: at(reading.downwind_mps),
                  width: at(Math.max(0.15, reading.upwind_mps - reading.downwind_mps)),
                }}
              />
              <span className="absolute -inset-y-1 w-[2px] bg-ink" style={{ left: at(reading.top_mps) }} />
            </div>
            <div className="flex justify-between text-sm text-ink-soft mt-1">
              <span className="figure">
                {withUnit(reading.downwind_mps, 'm/s', units)} to {withUnit(reading.upwind_mps, 'm/s', units)}
              </span>
              <span className="figure">the mode gives {withUnit(reading.top_mps, 'm/s', units)}</span>
            </div>
          </div>
          <div>
            <span className="text-sm">Wind up there, its gusts, and what the craft is rated for</span>
            <div className="relative h-6 bg-haze rounded-md mt-1">
              <span
                className="absolute inset-y-0 left-0 rounded-md bg-petal"
                style={{ width: at(reading.gust_mps) }}
              />
              <span
                className="absolute inset-y-0 left-0 rounded-md bg-larkspur"
                style={{ width: at(reading.mean_mps) }}
              />
              <span
                className="absolute -inset-y-1 w-[2px] bg-brick"
                style={{ left: at(reading.rated_mps) }}
              />
            </div>
          </div>
        </div>
      }
    />
  );
}

function Edit({ reading, aspect }: { reading: Schemas['EditReading']; aspect: number }) {
  const whole = Math.max(reading.hold_s, reading.use_s + 2 * reading.handle_s);
  const part = (seconds: number) => `${(100 * seconds) / whole}%`;
  const inset = (100 * (1 - reading.safe)) / 2;
  return (
    <Two
      sentences={reading.sentences}
      picture={
        <div className="grid gap-4">
          <div>
            <span className="text-sm">The hold, and what the cut takes of it</span>
            <div
              className="flex h-6 mt-1 rounded-md overflow-hidden bg-haze"
              role="img"
              aria-label="Handles and use"
            >
              <span className="bg-petal" style={{ width: part(reading.handle_s) }} />
              <span className="bg-leaf" style={{ width: part(reading.use_s) }} />
              <span className="bg-petal" style={{ width: part(reading.handle_s) }} />
              {reading.spare_s < 0 && <span className="bg-brick grow" />}
            </div>
            <div className="flex justify-between text-sm text-ink-soft mt-1">
              <span>handle, use, handle</span>
              <span className="figure">{figure(reading.hold_s)} s held</span>
            </div>
          </div>
          <div className="flex gap-3 items-center">
            <div
              className="relative w-56 bg-haze border border-ink"
              style={{ aspectRatio: aspect }}
              role="img"
              aria-label="What is recorded, and what is delivered of it"
            >
              <span
                className="absolute border-2 border-dashed border-pollen"
                style={{ inset: `${inset}%` }}
              />
            </div>
            <span className="text-sm text-ink-soft">
              To scale: {reading.recorded_px} pixels of width recorded, {reading.delivered_px} delivered.
            </span>
          </div>
        </div>
      }
    />
  );
}

function VariantList({
  reading,
  onVariant,
}: {
  reading: Schemas['Reading'];
  onVariant: (variant: Schemas['Variant']) => void;
}) {
  return (
    <div className="grid gap-4 sm:grid-cols-[1.4fr_1fr] items-start">
      <ul className="m-0 p-0 list-none grid gap-2">
        {reading.variants.map((variant) => (
          <li
            key={variant.id}
            className="grid grid-cols-[1fr_auto] gap-3 items-center border-b border-line pb-2"
          >
            <span>
              <strong>{variant.title}</strong>
              <span className={`block text-sm ${variant.feasible ? 'text-ink-soft' : 'text-brick'}`}>
                {variant.why}
              </span>
            </span>
            <Button onClick={() => onVariant(variant)}>Show it</Button>
          </li>
        ))}
        {reading.variants.length === 0 && (
          <li className="text-ink-soft">This one has no variant of its own.</li>
        )}
      </ul>
      <div>
        <h2>The passes of a take</h2>
        <ol className="m-0 mt-1 pl-5">
          {reading.passes.map((pass) => (
            <li key={pass.pass}>{pass.title}</li>
          ))}
        </ol>
      </div>
    </div>
  );
}
