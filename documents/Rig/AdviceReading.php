<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\AdviceWish;
use Larkspur\Rig\DemandFit;

/** How one shot's demand on a finger reads under a set of numbers. */
final readonly class AdviceReading implements Document
{
    /**
     * @param  ?float  $travel  at which the finger is held; null where it holds nothing
     * @param  ?float  $nudgeWidths  what the finest dependable nudge does, picture widths a second
     * @param  float  $reach  greatest rate asked over the rate there is
     * @param  list<Fact>  $troubles
     */
    public function __construct(
        public string $shot,
        public ?float $travel,
        public ?float $nudgeWidths,
        public float $reach,
        public array $troubles,
    ) {
    }

    public static function of(DemandFit $fit, AdviceWish $wish): self
    {
        return new self(
            $fit->demand->shot, $fit->travel === null ? null : round($fit->travel, 3), $fit->nudge === null ? null : round($fit->nudge, 4),
            round($fit->reach, 3), $fit->troubles($wish),
        );
    }
}
