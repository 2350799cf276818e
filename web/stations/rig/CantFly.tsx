// Which planned shots these numbers can't fly, and by how much: said beside the numbers, before they are kept.
import { useEffect } from 'react';
import { answered, api } from '~/api/client';
import { useShots } from '~/api/queries';
import { Card } from '~/kit/Card';
import { useLatest } from '~/kit/useLatest';
import { useSession } from '~/shell/session';
import { figure } from '~/units';
import type { RigDraft } from './useRigDraft';

/** Shots that are looked at: the latest of this craft in this mode. */
const LOOKED_AT = 12;

/** Numbers that were not touched for so long are asked about, ms. */
const REST = 900;

export function CantFly({ draft }: { draft: RigDraft }) {
  const { whose } = useSession();
  const shots = useShots(whose ?? draft.rig.operator_id ?? undefined);
  const asked = (shots.data ?? [])
    .filter((shot) => !shot.damaged && shot.craft === draft.rig.craft && shot.mode === draft.mode)
    .slice(0, LOOKED_AT)
    .map((shot) => shot.id);
  const { value: advice, ask } = useLatest(
    async (settings: RigDraft['settings']) =>
      answered(
        api.POST('/rigs/{rig}/advice', {
          params: { path: { rig: draft.rig.id } },
          body: { mode: draft.mode, shots: asked, settings },
        }),
      ),
    'larkspur:cant-fly',
  );
  const key = JSON.stringify([asked, draft.settings, draft.mode]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew where the shots, the mode or the numbers changed
  useEffect(() => {
    if (asked.length === 0 || draft.problem !== null) return;
    const rests = window.setTimeout(() => ask(draft.settings), REST);
    return () => window.clearTimeout(rests);
  }, [key]);
  if (asked.length === 0 || advice === null) return null;
  const over = advice.fingers.flatMap((finger) =>
    finger.shots
      .filter((one) => one.now.reach > 1.0005)
      .map((one) => ({
        finger: finger.finger,
        shot: one.shot,
        by: one.now.reach - 1,
        said: one.now.troubles[0],
      })),
  );
  return (
    <Card caption="Planned in this mode">
      <div className="px-3 pb-3 grid gap-1 text-sm" data-cant-fly={over.length}>
        {over.length === 0 ? (
          <p className="m-0">
            {asked.length === 1 ? 'The one shot' : `All ${asked.length} shots`} of this craft in {draft.mode}{' '}
            mode can be flown with these numbers.
          </p>
        ) : (
          over.map((one) => (
            <p key={`${one.shot} ${one.finger}`} className="m-0">
              <b>{one.shot}</b> asks {figure(100 * one.by, 0)} % more of the {one.finger} than there is.{' '}
              {one.said}
            </p>
          ))
        )}
      </div>
    </Card>
  );
}
