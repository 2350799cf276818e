<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Hands;

/** How an operator holds the controller, and how fine a hand that is. */
final readonly class HandsReading implements Document
{
    /**
     * @param  'push'|'pull'  $wheelUp
     * @param  'firm'|'feather'  $touch
     * @param  float  $perMm  share of the travel that a millimetre at the tip is
     * @param  float  $perDegree  share of the travel that a degree of lean is
     * @param  float  $reachMm  of the tip, from its middle to its stop
     * @param  float  $tremble  travel, standard deviation
     * @param  float  $nudge  finest dependable change of travel
     * @param  bool  $measured  whether the tremble is of the operator's own logs
     */
    public function __construct(
        public Pads $pads,
        public int $stickMode,
        public string $wheelUp,
        public string $grip,
        public float $stickMm,
        public string $touch,
        public Fact $gripWords,
        public float $perMm,
        public float $perDegree,
        public float $reachMm,
        public float $tremble,
        public float $nudge,
        public bool $measured,
    ) {
    }

    public static function of(Hands $hands): self
    {
        return new self(
            Pads::of($hands->mode), $hands->mode->value, $hands->wheelUp ? 'push' : 'pull', $hands->grip->value, $hands->stickMm,
            $hands->touch->value,
            $hands->grip->words(), round($hands->perMillimetre(), 4), round($hands->perDegree(), 4), round($hands->reach(), 1),
            round($hands->tremble(), 5), round($hands->nudge(), 5),
            $hands->measured !== null,
        );
    }
}
