// Wind as it is chosen for a flight: how strong at ten metres, and where from. Its gusts are half as strong again.
import type { Schemas } from '~/api/client';
import { Dial } from '~/kit/Dial';
import type { Units } from '~/units';

export type ChosenWind = { mean_mps: number; from_deg: number };

export const withGusts = (wind: ChosenWind): Schemas['Wind'] => ({
  ...wind,
  gust_mps: Math.round(15 * wind.mean_mps) / 10,
});

type Props = { wind: ChosenWind; onChange: (wind: ChosenWind) => void; units: Units };

export function WindDials({ wind, onChange, units }: Props) {
  return (
    <>
      <Dial
        label="Wind at 10 m"
        value={wind.mean_mps}
        unit="m/s"
        least={0}
        most={12}
        step={0.5}
        units={units}
        onChange={(mean_mps) => onChange({ ...wind, mean_mps })}
      />
      <Dial
        label="Wind from"
        value={wind.from_deg}
        unit="deg"
        least={0}
        most={359}
        step={5}
        places={0}
        units={units}
        onChange={(from_deg) => onChange({ ...wind, from_deg })}
      />
    </>
  );
}
