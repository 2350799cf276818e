<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Round;
use Larkspur\Rig\ModeTune;

/**
 * Orbit: round a subject at one height, the subject held at its place in the frame. The slide leads and sets the pace; at the end both die
 * away together. The distance stays, unless the right stick is to lean forward or back of pure slide.
 */
final readonly class Orbit extends Round
{
    public function about(): About
    {
        return new About(
            'orbit', Group::Around, 3, 'slide± (run*) > turn∓', ['slide-with-pan', 'coordinated-circle'],
            faults: ['off-mark', 'uneven', 'drift'], family: 'orbit', withTilt: 'climbing-orbit-with-tilt',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['bias_deg']);
    }

    public function judging(Intent $intent): Judging
    {
        return ($intent->number('bias_deg') ?? 0.0) === 0.0 ? Judging::orbit() : Judging::spiral('AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'bias_deg' => 0.0];
    }
}
