// The one button: quiet by default, primary for the station's main action. At least 44 px high.
import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { primary?: boolean; children: ReactNode };

export function buttonLook(primary = false): string {
  const look = primary
    ? 'bg-larkspur text-on-larkspur border-larkspur'
    : 'bg-card text-ink border-line hover:border-petal';
  return `inline-flex items-center justify-center gap-2 min-h-11 px-4 rounded-md border font-semibold whitespace-nowrap no-underline cursor-pointer disabled:opacity-50 disabled:cursor-default ${look}`;
}

export function Button({ primary = false, className = '', type = 'button', ...rest }: Props) {
  return <button type={type} className={`${buttonLook(primary)} ${className}`} {...rest} />;
}
