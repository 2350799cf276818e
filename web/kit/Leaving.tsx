// Asks before a page is left that holds what was not kept: a press on a link, the way back, and a closed tab alike.
import { useEffect } from 'react';
import { type Location, useBlocker } from 'react-router';
import { Button } from './Button';
import { Sheet } from './Sheet';

type Props = {
  /** Whether there is anything to lose. */
  dirty: boolean;
  /** What would be lost, as in "this shot as you changed it". */
  what: string;
  /** Whether the page stays the same there, with what it holds. */
  staysAt?: (next: Location) => boolean;
  /** What is kept on the device of it goes too. */
  onLose?: () => void;
};

/** Where a page goes by itself after it has kept what it holds: nothing is asked then. */
export const KEPT = { kept: true };

export function Leaving({ dirty, what, staysAt, onLose }: Props) {
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      dirty &&
      (nextLocation.state as { kept?: boolean } | null)?.kept !== true &&
      (staysAt === undefined ? nextLocation.pathname !== currentLocation.pathname : !staysAt(nextLocation)),
  );
  useEffect(() => {
    if (!dirty) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [dirty]);
  return (
    <Sheet
      open={blocker.state === 'blocked'}
      onClose={() => blocker.reset?.()}
      title="Leave without keeping it?"
    >
      <p className="m-0">{what} is not kept yet; it is gone when you leave this page.</p>
      <div className="flex flex-wrap gap-2 justify-end">
        <Button
          onClick={() => {
            onLose?.();
            blocker.proceed?.();
          }}
        >
          Leave, and lose it
        </Button>
        <Button primary onClick={() => blocker.reset?.()}>
          Stay
        </Button>
      </div>
    </Sheet>
  );
}
