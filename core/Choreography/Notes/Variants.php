<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Refusal;

/** What else could be flown from here, and the passes that a take procedure wants: some as planned, one otherwise. */
final class Variants
{
    /** The move that is the same with a tilt. */
    private const WITH_TILT = [
        'rise' => 'lift-and-tilt', 'sink' => 'drop-and-tilt', 'push-in' => 'ground-to-horizon', 'straight-back' => 'reverse-tilt-up', 'lateral-dolly' => 'slide-with-pan',
        'climbing-orbit' => 'climbing-orbit-with-tilt', 'orbit' => 'climbing-orbit-with-tilt', 'rise-and-advance' => 'ascent-late-tilt', 'fly-over' => 'over-the-edge',
    ];

    /**
     * @return list<array{id: string, title: Fact, why: Fact, feasible: bool, ...<string, mixed>}> also move, parameters, join and parts
     */
    public static function of(Plan $plan): array
    {
        $intent = $plan->move->intent;
        $out = [];
        $opposite = $plan->move->intent->opposite();
        if ($opposite !== []) {
            $out[] = self::one($plan, 'opposite', Fact::of('variants.other-way'), Fact::of('variants.both-directions-always-one'), parameters: $opposite);
        }
        $height = $intent->number('height_m');
        if ($height !== null && $height > 0) {
            $lower = max(2.0, round($height * 0.55 * 2) / 2);
            if ($lower < $height - 0.4) {
                $out[] = self::one($plan, 'lower', Fact::of('variants.lower'), Fact::of('variants.feels-faster', height: Quantity::metres($lower), times: $height / $lower), parameters: ['height_m' => $lower]);
            }
            $higher = round($height * 1.6 * 2) / 2;
            $out[] = self::one($plan, 'higher', Fact::of('variants.higher'), Fact::of('variants.shows-how-things-lie'), parameters: ['height_m' => $higher]);
        }
        $tilted = self::WITH_TILT[$intent->move] ?? null;
        if ($tilted !== null) {
            $kept = array_intersect_key($intent->parameters, array_flip(['distance_m', 'radius_m', 'height_m', 'start_bearing_deg', 'direction', 'arc_deg', 'pace_mps', 'heading_deg']));
            $out[] = self::one($plan, 'tilt', Fact::of('variants.with-tilt'), Fact::of('variants.one-finger-more-picture'), move: $tilted, parameters: $kept);
        }
        if ($intent->move !== 'combination' && Catalogue::move($intent->move)->about()->group !== Group::Drill) {
            $away = $intent->move === 'pull-away' ? 'orbit' : 'pull-away';
            $out[] = self::one(
                $plan, 'joined', $away === 'orbit' ? Fact::of('variants.then-go-round') : Fact::of('variants.then-leave-behind'), Fact::of('variants.two-moves-one-take'),
                move: 'combination', parameters: [], parts: [['move' => $intent->move, 'parameters' => $intent->parameters], ['move' => $away, 'parameters' => []]],
            );
        }

        return $out;
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  ?list<array{move: string, parameters: array<string, float|string>}>  $parts
     * @return array{id: string, title: Fact, why: Fact, feasible: bool, ...<string, mixed>}
     */
    private static function one(Plan $plan, string $id, Fact $title, Fact $why, ?string $move = null, array $parameters = [], ?array $parts = null): array
    {
        $intent = $plan->move->intent;
        try {
            $other = match (true) {
                $parts !== null => $intent->joining($parts),
                $move !== null => $intent->asPart($move, $parameters),
                default => $intent->with($parameters),
            };
            $planned = Planner::plan($plan->shot->withIntent($other));
            $broken = array_values(array_filter($planned->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN));
            $why = Fact::all($why, $broken === [] ? null : $broken[0]->text);
            $flyable = $broken === [];
        } catch (Refusal $refusal) {
            [$flyable, $why] = [false, $refusal->fact];
        }

        return [
            'id' => $id, 'title' => $title, 'why' => $why, 'move' => $move ?? $intent->move, 'parameters' => (object) $parameters,
            'join' => $parts === null ? null : 'sequence', 'parts' => $parts === null ? null : array_map(static fn (array $part): array => ['move' => $part['move'], 'parameters' => (object) $part['parameters']], $parts),
            'feasible' => $flyable,
        ];
    }

    /**
     * The passes of a shot, in the order in which they are flown: as planned, but for the last, which is a variant that can be flown.
     *
     * @param  list<array{id: string, title: Fact, feasible: bool, ...<string, mixed>}>  $variants
     * @return list<array{pass: int, title: Fact, variant: ?string}>
     */
    public static function passes(Brief $brief, array $variants): array
    {
        $passes = [];
        $other = array_values(array_filter($variants, static fn (array $one): bool => $one['feasible'] && $one['id'] !== 'joined'))[0] ?? null;
        for ($k = 1; $k <= $brief->passes; $k++) {
            $isOther = $k === $brief->passes && $k >= 3 && $other !== null;
            $passes[] = ['pass' => $k, 'title' => $isOther ? $other['title'] : Fact::of($k === 1 ? 'variants.as-planned' : 'variants.again-planned'), 'variant' => $isOther ? $other['id'] : null];
        }

        return $passes;
    }
}
