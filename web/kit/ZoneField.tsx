// A time zone, by its name in the IANA database.
import { Field } from './Field';

export const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone')];

type ZoneProps = { value: string; problem: string | undefined; onChange: (zone: string) => void };

/** A time zone by its name: of four hundred, one types the town. */
export function ZoneField({ value, problem, onChange }: ZoneProps) {
  return (
    <>
      <Field
        label="Time zone, by the nearest large town"
        list="zones"
        required
        value={value}
        problem={problem}
        onChange={(event) => onChange(event.target.value)}
      />
      <datalist id="zones">
        {ZONES.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
    </>
  );
}
