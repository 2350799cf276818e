<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/**
 * One curve said in another convention: the number that comes nearest, and how near that is.
 *
 * Nearest is least in the mean square of the output over the whole travel. Conventions bend differently, so two of
 * them agree everywhere only where both are straight, or where one is the other times 100.
 */
final readonly class Conversion
{
    /** Largest difference of the output, share of the full rate, up to which a number of the other convention is given. */
    public const ROUGH = 0.08;

    /** Up to which a thumb hardly tells the two apart (our judgement). */
    public const CLOSE = 0.03;

    private const POINTS = 40;

    /** Enough to find an output at half stick to within 0.0001. */
    private const ROUNDS = 20;

    /** A tenth of the travel: where the softness of a curve counts. */
    private const TENTH = 0.1;

    /** @param  float  $atTenth  difference of the output there, share of the full rate, signed */
    private function __construct(public string $kind, public ResponseCurve $curve, public float $difference, public float $atTenth = 0.0)
    {
    }

    /** @param  float  $end  rate at full stick, for the convention that states it */
    public static function of(ResponseCurve $curve, string $kind, float $end = 100.0): self
    {
        $own = $curve->toArray()['kind'];
        if ($own === $kind) {
            return new self($kind, $curve, 0.0);
        }
        $nearest = match (true) {
            $curve instanceof HalfStickCurve
                && (
                    $kind === 'half-stick' || $kind === 'half-stick-percent'
                ) => new HalfStickCurve($curve->halfStickOutput, $kind !== 'half-stick'),
            $kind === 'soft-expo' => self::expo($curve),
            default => self::searched($curve, $kind, $end),
        };

        return new self(
            $kind, $nearest, self::largest($curve, $nearest), $nearest->output(self::TENTH) - $curve->output(self::TENTH),
        );
    }

    /** The cubic is linear in its number, y = x - e (x - x^3): the least-squares number is a quotient. */
    private static function expo(ResponseCurve $curve): CubicExpoCurve
    {
        $above = $below = 0.0;
        for ($i = 2; $i < self::POINTS; $i += 2) {
            $x = $i / self::POINTS;
            $bend = $x - $x ** 3;
            $above += ($x - $curve->output($x)) * $bend;
            $below += $bend * $bend;
        }

        return new CubicExpoCurve(max(-0.5, min(1.0, $above / $below)));
    }

    /** Every convention has one free number, so the search is along the output at half stick. */
    private static function searched(ResponseCurve $curve, string $kind, float $end): ResponseCurve
    {
        $at = static fn (float $half): ResponseCurve => CurveKinds::through($kind, 0.5, $half, $end);

        return $at(self::least(static fn (float $half): float => self::meanSquare($curve, $at($half)), 0.04, 0.96));
    }

    /**
     * The same curve in every convention that states a number.
     *
     * @return list<self>
     */
    public static function all(ResponseCurve $curve, float $end): array
    {
        $kinds = array_values(array_diff(CurveKinds::KINDS, [PointsCurve::KIND]));

        return array_map(static fn (string $kind): self => self::of($curve, $kind, $end), $kinds);
    }

    /**
     * How near it comes; "none" where the convention has no number for such a curve.
     *
     * @return 'same'|'close'|'rough'|'none'
     */
    public function closeness(): string
    {
        return match (true) {
            $this->difference < 1e-6 => 'same',
            $this->difference <= self::CLOSE => 'close',
            $this->difference <= self::ROUGH => 'rough',
            default => 'none',
        };
    }

    public function convention(): Fact
    {
        return CurveKinds::meaning($this->kind);
    }

    private static function meanSquare(ResponseCurve $a, ResponseCurve $b): float
    {
        $sum = 0.0;
        for ($i = 2; $i < self::POINTS; $i += 2) {
            $sum += ($a->output($i / self::POINTS) - $b->output($i / self::POINTS)) ** 2;
        }

        return $sum / self::POINTS;
    }

    /** Largest difference of the output of two curves, share of the full rate. */
    public static function largest(ResponseCurve $a, ResponseCurve $b): float
    {
        $largest = 0.0;
        for ($i = 1; $i < self::POINTS; $i++) {
            $largest = max($largest, abs($a->output($i / self::POINTS) - $b->output($i / self::POINTS)));
        }

        return $largest;
    }

    /**
     * Golden-section search (J. Kiefer, Proc. Am. Math. Soc. 4 (1953) 502-506).
     *
     * @param  callable(float): float  $cost
     */
    private static function least(callable $cost, float $low, float $high): float
    {
        $golden = (sqrt(5) - 1) / 2;
        $a = $high - $golden * ($high - $low);
        $b = $low + $golden * ($high - $low);
        [$costA, $costB] = [$cost($a), $cost($b)];
        for ($i = 0; $i < self::ROUNDS; $i++) {
            if ($costA < $costB) {
                [$high, $b, $costB] = [$b, $a, $costA];
                $a = $high - $golden * ($high - $low);
                $costA = $cost($a);
            } else {
                [$low, $a, $costA] = [$a, $b, $costB];
                $b = $low + $golden * ($high - $low);
                $costB = $cost($b);
            }
        }

        return ($low + $high) / 2;
    }
}
