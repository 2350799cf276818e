<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fields;

/**
 * The registry of response-curve conventions: reads a curve from its stored form.
 *
 * Numbers of different conventions must never be compared with each other; compare the curves.
 */
final class CurveKinds
{
    /** Kind id to what the number means, in the words shown beside it. */
    public const MEANINGS = [
        'half-stick' => 'Output at half stick: 0.5 is straight, lower is softer',
        'half-stick-percent' => 'Output at half stick, times 100: 50 is straight, lower is softer',
        'soft-expo' => '0 is straight, larger is softer',
        'rates' => 'Rate about the centre, and rate at full stick',
    ];

    public static function read(Fields $fields): ResponseCurve
    {
        $kind = $fields->choiceOrNull('kind', array_keys(self::MEANINGS)) ?? $fields->text('kind');

        return match ($kind) {
            'half-stick' => new HalfStickCurve($fields->number('value', 0.05, 0.95)),
            'half-stick-percent' => new HalfStickCurve($fields->number('value', 5, 95) / 100, true),
            'soft-expo' => new CubicExpoCurve($fields->number('value', -0.5, 1)),
            default => new RateCurve($fields->number('centre', 1e-3), $fields->number('end', 1e-3)),
        };
    }
}
