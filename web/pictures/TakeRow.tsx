// One take as a list shows it: petals, score, verdict, what and when.
import { Link } from 'react-router';
import type { Schemas } from '~/api/client';
import { PetalMark } from '~/pictures/PetalMark';
import { day, hour } from '~/units';

export const VERDICTS = {
  keep: 'keep',
  open: 'clean as far as the log goes',
  fix: 'fix in post',
  other: 'another shot',
  again: 'fly again',
} as const;

export function verdictColor(verdict: string): string {
  if (verdict === 'keep') return 'text-leaf';
  return verdict === 'again' ? 'text-brick' : 'text-pollen-ink';
}

export function TakeRow({ take, showOperator }: { take: Schemas['Take']; showOperator: boolean }) {
  return (
    <li className="border-t border-line first:border-t-0" data-take={take.id}>
      <Link
        to={`/debrief/${take.id}`}
        className="grid grid-cols-[auto_3rem_1fr_auto] gap-3 items-center px-3 py-2 no-underline text-ink hover:bg-haze"
      >
        <PetalMark facets={take.facets} score={take.score} size={34} />
        <span className="figure text-lg font-semibold text-right">{Math.round(take.score)}</span>
        <span className="min-w-0">
          <span className="block truncate">{take.title}</span>
          <span className="block text-sm text-ink-soft truncate">
            {showOperator ? `${take.operator.name}, ` : ''}
            {day(take.flown_at, take.zone)} {hour(take.flown_at, take.zone)}
            {take.direction === '' ? '' : `, ${take.direction}`}
            {take.automated ? ', flown by automation' : ''}
            {take.practised === null ? '' : ', practised here'}
            {take.comments > 0
              ? `, ${take.comments === 1 ? 'one comment' : `${take.comments} comments`}`
              : ''}
          </span>
        </span>
        <span className={`text-sm font-semibold ${verdictColor(take.verdict)}`}>
          {take.decision === 'keep' ? 'kept' : take.decision === 'drop' ? 'dropped' : VERDICTS[take.verdict]}
        </span>
      </Link>
    </li>
  );
}
