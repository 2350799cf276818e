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
use Larkspur\Move\Parameter;
use Larkspur\Refusal;

/** What else could be flown from here, and the passes that a take procedure wants: some as planned, one otherwise. */
final class Variants
{
    /**
     * @return list<array{
     *     id: string, title: Fact, why: Fact, move: string, parameters: array<string, float|string>, join: 'sequence'|'together'|null,
     *     parts: ?list<array{move: string, parameters: array<string, float|string>}>, feasible: bool,
     * }>
     */
    public static function of(Plan $plan): array
    {
        $intent = $plan->move->intent;
        $move = Catalogue::move($intent->move);
        $out = [];
        $opposite = $move->opposite($plan->move);
        if ($opposite !== []) {
            $out[] = self::one(
                $plan, 'opposite', Fact::of('variants.other-way'), Fact::of('variants.both-directions-always-one'), parameters: $opposite,
            );
        }
        $back = $move->reversed($plan->move);
        if ($back !== []) {
            $out[] = self::one($plan, 'back', Fact::of('variants.back'), Fact::of('variants.back-why'), parameters: $back);
        }
        $height = $intent->number('height_m');
        if ($height !== null && $height > 0) {
            $lower = max(2.0, round($height * 0.55 * 2) / 2);
            if ($lower < $height - 0.4) {
                $out[] = self::one(
                    $plan, 'lower', Fact::of('variants.lower'),
                    Fact::of('variants.feels-faster', height: Quantity::metres($lower), times: $height / $lower),
                    parameters: ['height_m' => $lower],
                );
            }
            $higher = round($height * 1.6 * 2) / 2;
            $out[] = self::one(
                $plan, 'higher', Fact::of('variants.higher'), Fact::of('variants.shows-how-things-lie'),
                parameters: ['height_m' => $higher],
            );
        }
        $tilted = $move->about()->withTilt;
        if ($tilted !== '') {
            $kept = array_intersect_key(
                $intent->parameters, array_flip(array_diff(Parameter::names(Catalogue::move($tilted)->parameters()), ['tilt_start_deg'])),
            );
            $out[] = self::one(
                $plan, 'tilt', Fact::of('variants.with-tilt'), Fact::of('variants.one-finger-more-picture'), move: $tilted,
                parameters: $kept,
            );
        }
        if ($intent->move !== 'combination' && $move->about()->group !== Group::Drill) {
            $away = $intent->move === 'pull-away' ? 'orbit' : 'pull-away';
            $out[] = self::one(
                $plan, 'joined', $away === 'orbit' ? Fact::of('variants.then-go-round') : Fact::of('variants.then-leave-behind'),
                Fact::of('variants.two-moves-one-take'),
                move: 'combination', parameters: [],
                parts: [['move' => $intent->move, 'parameters' => $intent->parameters], ['move' => $away, 'parameters' => []]],
            );
        }

        return $out;
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  ?list<array{move: string, parameters: array<string, float|string>}>  $parts
     * @return array{
     *     id: string, title: Fact, why: Fact, move: string, parameters: array<string, float|string>, join: 'sequence'|'together'|null,
     *     parts: ?list<array{move: string, parameters: array<string, float|string>}>, feasible: bool,
     * }
     */
    private static function one(
        Plan $plan, string $id, Fact $title, Fact $why, ?string $move = null, array $parameters = [], ?array $parts = null,
    ): array {
        $intent = $plan->move->intent;
        $other = match (true) {
            $parts !== null => $intent->joining($parts),
            $move !== null => $intent->asPart($move, $parameters),
            default => $intent->with($parameters),
        };
        try {
            $planned = Planner::plan($plan->shot->withIntent($other));
            $broken = array_values(array_filter(
                $planned->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN,
            ));
            $why = Fact::all($why, $broken === [] ? null : $broken[0]->text);
            $flyable = $broken === [];
        } catch (Refusal $refusal) {
            [$flyable, $why] = [false, $refusal->fact];
        }

        return [
            'id' => $id, 'title' => $title, 'why' => $why, 'move' => $other->move,
            'parameters' => $other->parts === [] ? $parameters : [],
            'join' => $other->parts === [] ? null : $other->join,
            'parts' => $other->parts === [] ? null : $other->parts,
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
        $other = array_values(array_filter(
            $variants, static fn (array $one): bool => $one['feasible'] && $one['id'] !== 'joined',
        ))[0] ?? null;
        for ($k = 1; $k <= $brief->passes; $k++) {
            $isOther = $k === $brief->passes && $k >= 3 && $other !== null;
            $passes[] = [
                'pass' => $k, 'title' => $isOther ? $other['title'] : Fact::of($k === 1 ? 'variants.as-planned' : 'variants.again-planned'),
                'variant' => $isOther ? $other['id'] : null,
            ];
        }

        return $passes;
    }
}
