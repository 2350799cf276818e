<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * The registry of response-curve conventions: reads a curve from its stored form, finds the number of a convention for
 * a curve that is dragged, and says which number of another convention comes nearest to it.
 *
 * Numbers of different conventions must never be compared with each other; compare the curves.
 */
final class CurveKinds
{
    /** Conventions, by the id that a stored curve bears; what the number of each means is a phrase. */
    public const KINDS = ['half-stick', 'half-stick-percent', 'soft-expo', 'rates', PointsCurve::KIND];

    /** What the number of a convention means. */
    public static function meaning(string $kind): Fact
    {
        return Fact::of("curve.$kind");
    }

    public static function read(Fields $fields): ResponseCurve
    {
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? $fields->text('kind');

        return match ($kind) {
            'half-stick' => new HalfStickCurve($fields->number('value', 0.05, 0.95)),
            'half-stick-percent' => new HalfStickCurve($fields->number('value', 5, 95) / 100, true),
            'soft-expo' => new CubicExpoCurve($fields->number('value', -0.5, 1)),
            PointsCurve::KIND => self::placed($fields, static fn (): ResponseCurve => new PointsCurve($fields->pairs('points'))),
            default => self::placed(
                $fields, static fn (): ResponseCurve => new RateCurve($fields->number('centre', 1e-3), $fields->number('end', 1e-3)),
            ),
        };
    }

    /**
     * A curve whose numbers are fine one by one and may still make no curve together: said in the place where they stand.
     *
     * @param  callable(): ResponseCurve  $make
     */
    private static function placed(Fields $fields, callable $make): ResponseCurve
    {
        try {
            return $make();
        } catch (Refusal $refusal) {
            // What a field alone refuses has its place already.
            throw str_starts_with($refusal->place, $fields->place(''))
                ? $refusal
                : new Refusal($refusal->fact, $fields->place($refusal->place), $refusal->expected);
        }
    }

    /**
     * The curve of a convention that passes through a point, or as near to it as its numbers go: what a dragged curve means.
     *
     * @param  float  $travel  of the finger there, above 0 and below 1
     * @param  float  $output  share of the full rate there, above 0 and below 1
     * @param  float  $end  rate at full stick, for the convention that states it
     *
     * @throws Refusal where the point lies on the edge, or the convention is not known
     */
    public static function through(string $kind, float $travel, float $output, float $end = 100.0): ResponseCurve
    {
        if (! ($travel > 0 && $travel < 1 && $output > 0 && $output < 1)) {
            throw new Refusal(Fact::of('curve-kinds.every-curve-goes-through'), 'through', Fact::of('curve-kinds.travel-output-above-0'));
        }

        return match ($kind) {
            'half-stick', 'half-stick-percent' => HalfStickCurve::through($travel, $output, $kind !== 'half-stick'),
            'soft-expo' => CubicExpoCurve::through($travel, $output),
            'rates' => RateCurve::through($travel, $output, $end),
            PointsCurve::KIND => new PointsCurve([[0.0, 0.0], [$travel, $output], [1.0, 1.0]]),
            default => throw new Refusal(
                Fact::of('curve-kinds.not-known', kind: $kind), 'kind',
                Fact::of('curve-kinds.one-of', meanings: implode(', ', self::KINDS)),
            ),
        };
    }
}
