// Keeps what was changed as a new version, with its reason. Where somebody else saved first, both sets of changes are shown and
// the second saver decides; nothing of theirs is thrown away.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Choice } from '~/kit/Choice';
import { KEPT } from '~/kit/Leaving';
import { Notice } from '~/kit/Notice';
import { Sheet } from '~/kit/Sheet';
import { useSession } from '~/shell/session';
import { Changes } from './Changes';
import type { RigDraft, Settings } from './useRigDraft';

type Saving = { base: number; settings: Settings };

export function SaveBar({ draft }: { draft: RigDraft }) {
  const { user, whose } = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [reason, setReason] = useState('');
  // An operator's change is their own; a trainer's is the school's, or that of whoever the rig belongs to.
  const [owner, setOwner] = useState<'school' | 'operator'>(
    draft.rig.operator_id === null ? 'school' : 'operator',
  );
  const operator =
    user.role === 'trainer'
      ? owner === 'school'
        ? null
        : (draft.rig.operator_id ?? whose ?? null)
      : user.id;
  const save = useMutation({
    mutationFn: ({ base, settings }: Saving) =>
      answered(
        api.POST('/rigs/{rig}/versions', {
          params: { path: { rig: base } },
          body: {
            settings,
            reason: reason.trim(),
            focal_mm: draft.focal,
            operator_id: operator,
          },
        }),
      ),
    onSuccess: (saved) => {
      setReason('');
      for (const key of ['rigs', 'shots', 'shot', 'history', 'me'])
        void client.invalidateQueries({ queryKey: [key] });
      client.setQueryData(['rig', saved.id], saved);
      navigate(`/rig?rig=${saved.id}&mode=${draft.mode}`, { replace: true, state: KEPT });
    },
  });
  const conflict =
    save.error instanceof Problem && save.error.status === 409
      ? (save.error.details as Schemas['RigConflict'])
      : null;
  const changes = draft.reading?.changes ?? [];
  if (!draft.changed) return null;
  return (
    <section
      aria-label="Keep these settings"
      className="sticky bottom-0 z-10 bg-card border border-line rounded-md p-3 grid gap-2 md:grid-cols-[1fr_20rem] items-end"
    >
      <div className="grid gap-1 max-h-32 overflow-auto">
        {draft.problem === null ? <Changes changes={changes} /> : <Notice error={draft.problem} />}
        {save.error !== null && conflict === null && <Notice error={save.error} />}
      </div>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate({ base: draft.rig.id, settings: draft.settings });
        }}
      >
        {user.role === 'trainer' && (draft.rig.operator_id ?? whose) != null && (
          <Choice
            label="Whose rig it becomes"
            hideLabel
            value={owner}
            onChange={setOwner}
            options={[
              { value: 'operator', label: draft.rig.operator ?? 'The operator’s' },
              { value: 'school', label: 'The school’s' },
            ]}
          />
        )}
        <input
          className="min-h-11 px-3 rounded-md border border-line bg-card"
          aria-label="Why you change it"
          placeholder="Why, in a few words"
          maxLength={200}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <div className="flex gap-2">
          <Button onClick={draft.reset}>Put back</Button>
          <Button
            primary
            type="submit"
            className="grow"
            disabled={reason.trim() === '' || draft.problem !== null || save.isPending}
          >
            Keep as a new version
          </Button>
        </div>
      </form>
      {conflict !== null && (
        <Sheet open onClose={save.reset} title="Somebody saved first">
          <p className="m-0">{conflict.detail}</p>
          <section className="grid gap-1">
            <h2>What they changed</h2>
            <Changes changes={conflict.difference.theirs} marked={conflict.difference.both} />
          </section>
          <section className="grid gap-1">
            <h2>What you changed</h2>
            <Changes changes={conflict.difference.mine} marked={conflict.difference.both} />
          </section>
          {conflict.difference.both.length > 0 && (
            <p className="m-0 text-sm">What both of you changed goes as you set it, if you keep yours.</p>
          )}
          <Button
            primary
            onClick={async () => {
              const latest = await answered(
                api.GET('/rigs/{rig}', { params: { path: { rig: conflict.latest.id } } }),
              );
              save.mutate({
                base: latest.id,
                settings: laidOver(latest.settings, draft.settings, conflict.difference.mine),
              });
            }}
          >
            Keep theirs, and mine on top
          </Button>
          <Button
            onClick={() => {
              save.reset();
              void client.invalidateQueries({ queryKey: ['rigs'] });
              navigate(`/rig?rig=${conflict.latest.id}&mode=${draft.mode}`, { state: KEPT });
            }}
          >
            Take theirs, and let mine go
          </Button>
        </Sheet>
      )}
    </section>
  );
}

/** Their settings with what this side changed put in its places. */
export function laidOver(theirs: Settings, mine: Settings, changed: Schemas['RigChange'][]): Settings {
  const merged = structuredClone(theirs) as unknown as Record<string, unknown>;
  for (const { place } of changed) {
    const keys = place.split('.');
    const last = keys.pop() as string;
    let from: unknown = mine;
    let to: Record<string, unknown> = merged;
    for (const key of keys) {
      from = (from as Record<string, unknown> | undefined)?.[key];
      to[key] = to[key] ?? {};
      to = to[key] as Record<string, unknown>;
    }
    const value = (from as Record<string, unknown> | undefined)?.[last];
    if (value !== undefined) to[last] = value;
  }
  return merged as unknown as Settings;
}
