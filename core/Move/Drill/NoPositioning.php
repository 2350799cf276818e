<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Rig\ModeTune;

/** Without positioning: hold a spot while the craft does not; where positioning can’t be switched off, indoors. */
final readonly class NoPositioning extends Drill
{
    public function about(): About
    {
        return new About(
            'no-positioning', Group::Drill, 5, '', ['square-with-turns', 'close-to-object'], faults: ['drift', 'kick'], caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('duration_s', 'height_m', 'heading_deg');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'duration_s' => 20.0, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->rest(self::value($intent, 'duration_s', 20.0), Mark::CLOSE);
    }
}
