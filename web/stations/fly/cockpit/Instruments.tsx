// What a pilot may read while flying, as far as the exercise leaves it.
import type { ReactNode } from 'react';
import { clock, type Units, withUnit } from '~/units';
import type { Readout } from './useFlight';

type Props = {
  readout: Readout;
  units: Units;
  hidden: Record<string, boolean>;
  /** Seconds in which the craft should be down. */
  reserve: number;
  pace: number;
};

export function Instruments({ readout, units, hidden, reserve, pace }: Props) {
  const low = readout.battery <= reserve;
  return (
    <dl
      className="absolute bottom-2 left-1/2 -translate-x-1/2 m-0 flex flex-wrap justify-center gap-x-4 gap-y-0 px-3 py-1 rounded-md bg-[#1e1b3acc] text-[#fff]"
      data-role="instruments"
    >
      {hidden.speed !== true && <One name="over ground">{withUnit(readout.speed, 'm/s', units)}</One>}
      {hidden.height !== true && <One name="above ground">{withUnit(readout.height, 'm', units)}</One>}
      {hidden.distance !== true && <One name="from you">{withUnit(readout.distance, 'm', units, 0)}</One>}
      {hidden.height !== true && <One name="tilt">{`${readout.tilt.toFixed(1)}°`}</One>}
      {hidden.battery !== true && (
        <One name={low ? 'battery: come down' : 'battery'}>
          <span className={low ? 'text-[#ffb4a2]' : ''}>{clock(readout.battery)}</span>
        </One>
      )}
      {pace !== 1 && <One name="slow motion">×{pace}</One>}
      {readout.frozen && <One name="frozen">p goes on</One>}
      {readout.returning !== null && <One name="coming home">{HOME[readout.returning]}</One>}
    </dl>
  );
}

const HOME = { up: 'climbs', home: 'on its way', down: 'comes down', landed: 'down' };

function One({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="grid justify-items-center">
      <dd className="m-0 figure font-semibold">{children}</dd>
      <dt className="text-sm">{name}</dt>
    </div>
  );
}
