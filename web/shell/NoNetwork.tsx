// Without a network: what does not open, what is safe, and what goes on all the same.
import { useEffect } from 'react';
import { Button, buttonLook } from '~/kit/Button';
import { latestField } from '~/kit/latestField';

export function NoNetwork() {
  const field = latestField();
  useEffect(() => {
    // Back at once where it comes back; nothing on this page can be lost.
    const again = () => window.location.reload();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, []);
  return (
    <main className="p-8 max-w-xl grid gap-4 justify-items-start" data-no-network>
      <h1>No network here</h1>
      <p className="m-0">
        Rig, Plan, Fly, Debrief and Progress work with the school’s records, and those need the network.
        Nothing that was kept is lost, a shot or a site that you were drawing lies on this device, and this
        page opens by itself once the network is back.
      </p>
      {field !== null && (
        <p className="m-0">The day that was open in the field on this device goes on without it.</p>
      )}
      <div className="flex flex-wrap gap-2">
        {field !== null && (
          <a className={buttonLook(true)} href={`/field/${field}`}>
            Open the day in the field
          </a>
        )}
        <Button onClick={() => window.location.reload()}>Try again</Button>
      </div>
    </main>
  );
}
