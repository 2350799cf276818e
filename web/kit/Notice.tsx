// Something the operator must know: what was wrong, where, and that nothing was lost.
import { Problem } from '~/api/client';

type Props = { error?: unknown; text?: string; tone?: 'brick' | 'leaf' | 'soft' };

export function Notice({ error, text, tone = 'brick' }: Props) {
  const words =
    text ?? (error instanceof Problem ? error.words : 'Something broke here. Nothing was saved; try again.');
  const look = {
    brick: 'border-brick text-brick',
    leaf: 'border-leaf text-leaf',
    soft: 'border-line text-ink-soft',
  }[tone];
  return (
    <p
      role={tone === 'brick' ? 'alert' : 'status'}
      className={`m-0 px-3 py-2 border-l-3 bg-card rounded-md text-sm ${look}`}
    >
      {words}
    </p>
  );
}
