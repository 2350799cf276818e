// A surface with a caption in its corner.
import type { ReactNode } from 'react';

type Props = {
  caption?: ReactNode;
  aside?: ReactNode;
  className?: string;
  children: ReactNode;
  label?: string;
  /** Holds more than it shows: it scrolls, and can be reached with the keyboard to do so. */
  scrolls?: boolean;
};

export function Card({ caption, aside, className = '', children, label, scrolls = false }: Props) {
  return (
    <section
      className={`bg-card border border-line rounded-md min-w-0 ${scrolls ? 'overflow-auto' : ''} ${className}`}
      aria-label={label}
      tabIndex={scrolls ? 0 : undefined}
    >
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
