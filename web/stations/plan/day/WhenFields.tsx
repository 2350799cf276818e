// A date and an hour, as the device lets them be picked.
export function DateField({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <label className="grid gap-1 text-sm">
      Date
      <input
        type="date"
        className="min-h-11 px-3 rounded-md border border-line bg-card text-base text-ink"
        value={value}
        onChange={(event) => event.target.value !== '' && onChange(event.target.value)}
      />
    </label>
  );
}

export function HourField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="grid gap-1 text-sm">
      {label}
      <input
        type="time"
        className="min-h-11 px-3 rounded-md border border-line bg-card text-base text-ink"
        value={value}
        onChange={(event) => /^\d\d:\d\d$/.test(event.target.value) && onChange(event.target.value)}
      />
    </label>
  );
}
