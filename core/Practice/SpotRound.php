<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Catalogue;
use Larkspur\Training\Lesson;

/**
 * One round of "spot it": a take with one hidden fault, or with none. Every third round has none, by the seed: whoever sees faults
 * everywhere is to find out.
 */
final readonly class SpotRound
{
    /** A moment counts as found within this of the fault, s (common practice, no published source). */
    private const NEAR = 2.0;

    private const CLEAN_SHARE = 0.34;

    /** @param  ?Finger  $finger  on which it sits; null where there is none, or the picture as a whole has it */
    private function __construct(
        public Plan $plan, public Flight $flight, public ?string $fault, public ?Finger $finger, public ?float $from, public ?float $to,
    ) {
    }

    /** @param  list<string>  $wanted  faults to choose from; the move's own typical ones where empty */
    public static function of(Plan $plan, int $seed, array $wanted = []): self
    {
        $noise = SeededNoise::named($seed, 'spot');
        $typical = Catalogue::move($plan->move->intent->move)->about()->faults;
        $chosen = array_values(array_intersect($wanted, $typical));
        $faults = $chosen === [] ? $typical : $chosen;
        if ($faults === [] || $noise->uniform() < self::CLEAN_SHARE) {
            return new self($plan, Lesson::flown($plan, null)->flown, null, null, null, null);
        }
        $fault = $faults[(int) floor(count($faults) * $noise->uniform()) % count($faults)];
        $lesson = Lesson::flown($plan, $fault);
        foreach ($lesson->score->faults as $found) {
            if ($found->id === $fault) {
                return new self(
                    $plan, $lesson->flown, $fault, Finger::tryFrom($found->axis), min($found->t, $found->worst),
                    max($found->until, $found->worst),
                );
            }
        }

        // A fault that is not told by its own name can't be asked for by name.
        return new self($plan, Lesson::flown($plan, null)->flown, null, null, null, null);
    }

    /**
     * What an answer comes to: the moment decides, the name is told beside it.
     *
     * @param  ?float  $from  of the fault, s; null where there was none
     * @param  ?float  $said  moment that was named, s; null for "nothing"
     * @return 'hit'|'miss'|'false-alarm'|'correct-rejection'
     */
    public static function outcome(?float $from, ?float $to, ?float $said): string
    {
        if ($from === null) {
            return $said === null ? 'correct-rejection' : 'false-alarm';
        }

        return $said !== null && $said >= $from - self::NEAR && $said <= ($to ?? $from) + self::NEAR ? 'hit' : 'miss';
    }
}
