<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\MovePlan;

/** The place beside the subject from which a move is built: its distance and bearing. Some moves pass it half-way, some end there. */
final readonly class Start extends Handle
{
    /** Degrees by which an arrow key goes round, and m by which it goes out. */
    private const ROUND = 2.0;

    private const OUT = 1.0;

    /**
     * @param  'radius_m'|'distance_m'  $away  the parameter that says how far off it is
     * @param  float  $pivot  share of the time at which the move passes it
     */
    public function __construct(private string $away, private float $pivot)
    {
        parent::__construct('start', Sheet::Above);
    }

    public function label(): Fact
    {
        return match (true) {
            $this->pivot >= 1.0 => Fact::of('handle.last-place'),
            $this->pivot > 0.0 => Fact::of('handle.half-way'),
            default => Fact::of($this->away === 'radius_m' ? 'handle.start-of-round' : 'handle.start'),
        };
    }

    public function at(MovePlan $plan): Spot
    {
        $subject = self::subject($plan);
        $bearing = $plan->intent->angle('start_bearing_deg') ?? 0.0;
        $distance = $plan->intent->number($this->away) ?? 0.0;

        return Spot::place($subject->plus($distance * sin($bearing), $distance * cos($bearing), 0.0));
    }

    public function put(MovePlan $plan, Spot $to): array
    {
        $subject = self::subject($plan);

        return [
            $this->away => self::within($plan, $this->away, $to->distanceFrom($subject), 0.5),
            'start_bearing_deg' => self::within($plan, 'start_bearing_deg', $to->bearingFrom($subject), 1.0),
        ];
    }

    public function nudge(MovePlan $plan, float $right, float $up): array
    {
        $bearing = ($plan->intent->angle('start_bearing_deg') ?? 0.0) + self::ROUND * $right * Angle::DEGREE;

        return [
            $this->away => self::within($plan, $this->away, ($plan->intent->number($this->away) ?? 0.0) + self::OUT * $up, 0.1),
            'start_bearing_deg' => self::within($plan, 'start_bearing_deg', Angle::bearing($bearing), 1.0),
        ];
    }

    private static function subject(MovePlan $plan): Position
    {
        return $plan->subject?->first() ?? new Position(0.0, 0.0, 0.0);
    }
}
