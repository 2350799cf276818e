// Advise: numbers solved for a list of planned shots, in the house that is followed, with what each of them would buy and cost.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { titleOf, useShots } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { HoldStrip } from '~/pictures/HoldStrip';
import { useSession } from '~/shell/session';
import { figure, withUnit } from '~/units';
import { curveNumber, type RigDraft } from './useRigDraft';

type House = NonNullable<Schemas['AskAdvice']['house']>;

const HOUSES: { value: House; label: string }[] = [
  { value: 'limit-the-machine', label: 'Limit the machine' },
  { value: 'middle', label: 'The middle' },
  { value: 'trust-the-fingers', label: 'Trust the fingers' },
];

export function Advise({ draft }: { draft: RigDraft }) {
  const { user, whose } = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const shots = useShots(whose ?? draft.rig.operator_id ?? undefined);
  const [unticked, setLeft] = useState<number[]>();
  // Unchosen, it is the house of whoever the rig belongs to: the server knows.
  const [chosen, setChosen] = useState<House>();
  const advise = useMutation({
    mutationFn: (wanted: Schemas['AskAdvice']) =>
      answered(api.POST('/rigs/{rig}/advice', { params: { path: { rig: draft.rig.id } }, body: wanted })),
  });
  const follow = useMutation({
    mutationFn: (operator: number | null) =>
      operator === null
        ? answered(api.PUT('/house', { body: { house } }))
        : answered(
            api.PUT('/operators/{operator}/house', { params: { path: { operator } }, body: { house } }),
          ),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['me'] }),
  });
  // Until somebody ticks, the list is of the shots that are flown with this craft.
  const left =
    unticked ??
    (shots.data ?? [])
      .filter((shot) => shot.damaged || shot.craft !== draft.rig.craft)
      .map((shot) => shot.id);
  const asked = (shots.data ?? []).filter((shot) => !left.includes(shot.id)).map((shot) => shot.id);
  const key = `${asked.join(' ')} ${draft.mode} ${chosen}`;
  const house = chosen ?? ((advise.data?.house ?? user.house) as House);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew where the list, the mode or the house changes
  useEffect(() => {
    if (asked.length > 0)
      advise.mutate({
        mode: draft.mode,
        shots: asked.slice(0, 40),
        settings: draft.settings,
        ...(chosen && { house: chosen }),
      });
  }, [key]);
  if (shots.error) throw shots.error;
  if (!shots.data) return <Skeleton className="h-96" />;
  if (shots.data.length === 0) {
    return (
      <Card className="p-5 grid gap-3 justify-items-start">
        <h2>There is no planned shot to advise for</h2>
        <p className="m-0">Settings are good for something: plan the shots first, then ask.</p>
        <Link className={buttonLook(true)} to="/plan/new">
          Plan one
        </Link>
      </Card>
    );
  }
  const advice = advise.data;
  return (
    <div className="grid gap-3 lg:grid-cols-[19rem_1fr] items-start">
      <div className="grid gap-3">
        <Card className="p-3 grid gap-3">
          <Choice label="House" value={house} onChange={setChosen} options={HOUSES} />
          {advice !== undefined && <p className="m-0 text-sm text-ink-soft">{advice.house_why}</p>}
          {user.role === 'trainer' && (
            <div className="grid gap-2">
              {follow.error && <Notice error={follow.error} />}
              <Button onClick={() => follow.mutate(null)} disabled={house === user.school_house}>
                {house === user.school_house ? 'The school follows it' : 'The school follows it from now on'}
              </Button>
              {draft.rig.operator_id !== null && (
                <Button onClick={() => follow.mutate(draft.rig.operator_id)}>
                  {draft.rig.operator} follows it
                </Button>
              )}
              {follow.data && <p className="m-0 text-sm text-leaf">Kept.</p>}
            </div>
          )}
        </Card>
        <Card className="p-3 grid gap-1 max-lg:max-h-64 overflow-auto">
          <h2>For these shots</h2>
          {shots.data.map((shot) => (
            <label key={shot.id} className="flex gap-2 items-center min-h-11 cursor-pointer">
              <input
                type="checkbox"
                className="size-5 accent-larkspur"
                checked={!left.includes(shot.id)}
                onChange={(event) =>
                  setLeft(event.target.checked ? left.filter((id) => id !== shot.id) : [...left, shot.id])
                }
              />
              <span>
                {titleOf(shot)}
                <span className="text-sm text-ink-soft">
                  {whose === undefined && user.role === 'trainer' ? `, ${shot.operator.name}` : ''}
                </span>
              </span>
            </label>
          ))}
        </Card>
      </div>
      <div className="grid gap-3">
        {advise.error && <Notice error={advise.error} />}
        {asked.length === 0 && <Notice tone="soft" text="Tick a shot, and numbers for it are worked out." />}
        {advice !== undefined && asked.length > 0 && (
          <>
            <Summary advice={advice} mode={draft.mode} />
            {advice.fingers
              .filter((finger) => finger.asked)
              .map((finger) => (
                <Recommendation key={finger.finger} finger={finger} comfort={advice.comfort} />
              ))}
            {advice.left_out.map((one) => (
              <Notice key={one.shot} tone="soft" text={`${one.shot} was left out: ${one.why}`} />
            ))}
            <div className="sticky bottom-0 bg-paper py-2">
              <Button
                primary
                onClick={() => {
                  draft.change(() => advice.settings);
                  navigate(`/rig?rig=${draft.rig.id}&mode=${draft.mode}`);
                }}
              >
                Put these numbers in, and look at them
              </Button>
            </div>
          </>
        )}
      </div>
    </div>
  );
}

function Summary({ advice, mode }: { advice: Schemas['RigAdvice']; mode: string }) {
  const troubles = advice.fingers.flatMap((finger) => finger.shots.flatMap((shot) => shot.advised.troubles));
  const before = advice.fingers.flatMap((finger) => finger.shots.flatMap((shot) => shot.now.troubles));
  return (
    <Card className="p-3 grid gap-1">
      <p className="m-0 text-lg font-semibold">
        {troubles.length === 0
          ? 'With these numbers every planned hold is comfortable, fine and within reach.'
          : `${troubles.length} ${troubles.length === 1 ? 'thing stays' : 'things stay'} uneasy with these numbers.`}
      </p>
      <p className="m-0 text-sm text-ink-soft">
        As it is set now: {before.length === 0 ? 'nothing uneasy' : `${before.length} uneasy`}. Rings show
        where each hold is now, filled marks where it would be. Worked out for the {mode} mode in the house “
        {advice.house_words}”
        {advice.films_in === mode ? '.' : `, which films in the ${advice.films_in} mode.`} A nudge of{' '}
        {figure(100 * advice.nudge, 1)} % of the travel is the finest you can rely on; less than{' '}
        {figure(100 * advice.seen_widths, 1)} % of the picture’s width a second is not seen.
      </p>
    </Card>
  );
}

function Recommendation({ finger, comfort }: { finger: Schemas['AdviceFinger']; comfort: Schemas['Band'] }) {
  const { units } = useSession();
  const color = `var(--${finger.finger})`;
  const held = finger.shots.filter((shot) => shot.advised.travel !== null);
  return (
    <Card caption={<span style={{ color, fontWeight: 650 }}>{finger.finger}</span>}>
      <div className="px-3 pb-3 grid gap-3 md:grid-cols-[1fr_15rem]" data-advice={finger.finger}>
        <div className="grid gap-2 min-w-0">
          {held.length > 0 && (
            <div className="grid grid-cols-[minmax(6rem,11rem)_1fr] gap-2">
              <ul className="m-0 p-0 list-none text-sm">
                {held.map((shot) => (
                  <li key={shot.shot} className="h-4 leading-4 truncate first:mt-1" title={shot.shot}>
                    {shot.shot}
                  </li>
                ))}
              </ul>
              <HoldStrip
                holds={held.map((shot) => ({
                  shot: shot.shot,
                  now: shot.now.travel,
                  advised: shot.advised.travel,
                  trouble: shot.advised.troubles.length > 0,
                }))}
                comfort={comfort}
                color={color}
                label={`Where each shot holds ${finger.finger}, now and as advised`}
              />
            </div>
          )}
          <p className="m-0 text-sm">{finger.why}</p>
          {finger.shots
            .filter((shot) => shot.advised.troubles.length > 0)
            .map((shot) => (
              <p key={shot.shot} className="m-0 text-sm text-brick">
                {shot.shot}: {shot.advised.troubles.join('; ')}.
              </p>
            ))}
          <details className="text-sm">
            <summary className="cursor-pointer min-h-6 text-ink-soft">
              What other numbers buy and cost
            </summary>
            <dl className="m-0 grid gap-2 pt-1">
              {finger.trades.map((trade) => (
                <div key={trade.change}>
                  <dt className="font-semibold">{trade.change}</dt>
                  {trade.buys.map((text) => (
                    <dd key={text} className="m-0 text-leaf">
                      buys: {text}
                    </dd>
                  ))}
                  {trade.costs.map((text) => (
                    <dd key={text} className="m-0 text-brick">
                      costs: {text}
                    </dd>
                  ))}
                  {trade.buys.length + trade.costs.length === 0 && (
                    <dd className="m-0 text-ink-soft">changes nothing that is felt or seen</dd>
                  )}
                </div>
              ))}
            </dl>
          </details>
        </div>
        <dl className="grid grid-cols-[1fr_auto_auto] gap-x-3 gap-y-1 m-0 text-sm content-start">
          <dt className="text-ink-soft">&nbsp;</dt>
          <dd className="m-0 text-right text-ink-soft">now</dd>
          <dd className="m-0 text-right font-semibold">advised</dd>
          <dt>Top rate</dt>
          <dd className="figure m-0 text-right">{withUnit(finger.now.top, finger.unit, units)}</dd>
          <dd className="figure m-0 text-right font-semibold">
            {withUnit(finger.advised.top, finger.unit, units)}
          </dd>
          <dt>Curve</dt>
          <dd className="figure m-0 text-right">{curveNumber(finger.now.curve)}</dd>
          <dd className="figure m-0 text-right font-semibold">{curveNumber(finger.advised.curve)}</dd>
          {finger.now.cushion_s !== null && finger.advised.cushion_s !== null && (
            <>
              <dt>Cushion</dt>
              <dd className="figure m-0 text-right">{figure(finger.now.cushion_s, 2)} s</dd>
              <dd className="figure m-0 text-right font-semibold">{figure(finger.advised.cushion_s, 2)} s</dd>
            </>
          )}
        </dl>
      </div>
    </Card>
  );
}
