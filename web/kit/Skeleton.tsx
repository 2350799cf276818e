// Stands in for what takes longer than 200 ms; shows nothing before that, so that quick answers don't flicker.
import { useEffect, useState } from 'react';

export function Skeleton({ className = 'h-40' }: { className?: string }) {
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), 200);
    return () => clearTimeout(timer);
  }, []);
  return (
    <div
      role="status"
      aria-label="Loading"
      className={`rounded-md ${late ? 'bg-haze animate-pulse' : ''} ${className}`}
    />
  );
}
