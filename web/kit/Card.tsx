// A surface with a caption in its corner.
import type { ReactNode } from 'react';

type Props = {
  caption?: ReactNode;
  aside?: ReactNode;
  className?: string;
  children: ReactNode;
  label?: string;
};

export function Card({ caption, aside, className = '', children, label }: Props) {
  return (
    <section className={`bg-card border border-line rounded-md min-w-0 ${className}`} aria-label={label}>
      {caption !== undefined && (
        <div className="flex justify-between items-baseline gap-3 px-3 pt-2 text-sm text-ink-soft">
          <h2 className="text-sm! font-normal! text-ink-soft">{caption}</h2>
          {aside}
        </div>
      )}
      {children}
    </section>
  );
}
