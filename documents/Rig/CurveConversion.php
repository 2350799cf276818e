<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Rig\Conversion;

/** A curve said in another convention, and how near that is. */
final readonly class CurveConversion implements Document
{
    /**
     * @param  'same'|'close'|'rough'|'none'  $closeness
     * @param  float  $difference  largest difference of the output, share of the full rate
     * @param  float  $atTenth  difference of the output at a tenth of the travel, where softness counts, share of the full rate
     * @param  ?array<string, mixed>  $curve  as a craft would show it; null where the convention has no number for it
     */
    public function __construct(
        public string $kind,
        public Fact $convention,
        public string $closeness,
        public float $difference,
        public float $atTenth,
        #[Shape('RigCurve')] public ?array $curve,
    ) {
    }

    public static function of(Conversion $conversion): self
    {
        $closeness = $conversion->closeness();

        return new self(
            $conversion->kind, $conversion->convention(), $closeness, round($conversion->difference, 4),
            round($conversion->atTenth, 4),
            $closeness === 'none' ? null : self::plain($conversion->curve->toArray()),
        );
    }

    /**
     * Numbers as a craft would show them.
     *
     * @param  array{kind: string, value?: float, centre?: float, end?: float, points?: list<array{float, float}>}  $curve
     * @return array<string, mixed>
     */
    private static function plain(array $curve): array
    {
        $places = $curve['kind'] === 'half-stick-percent' || $curve['kind'] === 'rates' ? 1 : 3;

        return array_map(static fn (mixed $value): mixed => is_float($value) ? round($value, $places) : $value, $curve);
    }
}
