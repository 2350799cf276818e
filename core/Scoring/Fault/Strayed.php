<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;

/**
 * To which side of its mark a subject stands, by which finger it is brought back, and whether that finger ran ahead of the move
 * or behind it. The picture does not know who was wrong of two fingers that go together; what can be said is which of them mends
 * it at once.
 */
final readonly class Strayed
{
    /** Beneath this tilt turning spins the picture and moves no subject to its mark. */
    private const STRAIGHT_DOWN = -75.0 * Angle::DEGREE;

    /** Frame a second from which the picture itself turns or tilts by intent. */
    private const TURNS = 0.01;

    /** Grid nodes about the moment over which its rate is taken. */
    private const ABOUT = 10;

    /**
     * @param  'left'|'right'|'up'|'down'  $side  to which what is filmed went
     * @param  string  $wording  of the fault ("fault.<wording>.try")
     */
    private function __construct(public string $side, public Finger $finger, public string $wording)
    {
    }

    /** @param  int  $node  of the grid, within the move */
    public static function at(Measurements $measured, int $node): self
    {
        $take = $measured->take;
        $k = max(0, min(count($measured->framing->u) - 1, $node - $take->main->from));
        [$u, $v] = [$measured->framing->u[$k], $measured->framing->v[$k]];
        $side = abs($u) >= abs($v) ? ($u < 0 ? 'left' : 'right') : ($v < 0 ? 'down' : 'up');
        if ($take->grid->tilt->value[$node] < self::STRAIGHT_DOWN) {
            return new self($side, abs($u) >= abs($v) ? Finger::Slide : Finger::Run, 'off-mark.from-above');
        }
        // Positive where more of the axis' positive way brings the subject back: to the right, and up.
        $back = $side === 'right' || $side === 'up' ? 1.0 : -1.0;
        $finger = self::finger($measured, $side);
        if ($finger === Finger::Slide) {
            // To slide on brings back what fell behind, to whichever side that is.
            return new self($side, $finger, self::slides($measured, $node) * $back > 0 ? 'off-mark.slide-slow' : 'off-mark.slide-fast');
        }
        $axis = $finger->axis();
        $rate = Statistics::mean(array_slice($take->channel($axis)->rate, max(0, $node - self::ABOUT), 2 * self::ABOUT + 1));
        $frames = $rate / ($axis === Axis::Turn ? $take->lens->horizontal : $take->lens->vertical());
        $how = match (true) {
            abs($frames) < self::TURNS => $side,
            $frames * $back > 0 => 'slow',
            default => 'fast',
        };

        return new self($side, $finger, "off-mark.$finger->value-$how");
    }

    /** @param  'left'|'right'|'up'|'down'  $side */
    private static function finger(Measurements $measured, string $side): Finger
    {
        $judging = $measured->take->judging;
        if ($side === 'up' || $side === 'down') {
            return Finger::Tilt;
        }

        return $judging->path === PathKind::Beside && $judging->role(Axis::Turn) === Role::Still ? Finger::Slide : Finger::Turn;
    }

    /** @return float m/s to the right of where the lens looks */
    private static function slides(Measurements $measured, int $node): float
    {
        $grid = $measured->take->grid;
        $heading = $grid->heading->value[$node];

        return $grid->x->rate[$node] * cos($heading) - $grid->y->rate[$node] * sin($heading);
    }
}
