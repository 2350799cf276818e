<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Handle\Pull;
use Larkspur\Refusal;
use Larkspur\Site\Site;

/** Plans a shot: the flight it asks for, the thumb sheet, and everything that was checked. */
final class Planner
{
    /**
     * @throws Refusal where the shot can't be drawn at all; what can be drawn but not flown is a finding
     */
    public static function plan(Shot $shot): Plan
    {
        self::withinReach($shot);
        $mode = $shot->tune();
        $plan = Catalogue::plan($shot->intent, $shot->site->frame(), $mode);
        $sheet = ThumbSheet::write($plan->flight, $mode);
        $presses = array_map(static fn (Finger $finger): FingerPart => FingerPart::of($finger, $sheet, $plan), Finger::cases());
        $findings = Checks::all($shot, $plan, $sheet, $presses);

        return new Plan($shot, $plan, $sheet, $presses, $findings);
    }

    /**
     * What the parameters of a shot become when a hand pulls one of its handles.
     *
     * @return array<string, float> by id
     */
    public static function pulled(Shot $shot, Pull $pull): array
    {
        self::withinReach($shot);

        return $pull->of(Catalogue::plan($shot->intent, $shot->site->frame(), $shot->tune()), $shot->intent);
    }

    private static function withinReach(Shot $shot): void
    {
        $subject = $shot->intent->subject;
        if ($subject === null) {
            return;
        }
        $distance = $shot->site->frame()->position($subject)->ground();
        if ($distance > Site::REACH) {
            throw new Refusal(
                Fact::of('planner.subject-lies-km-take', distance: $distance / 1000),
                'intent.subject',
                Fact::of('planner.subject-within-km-latitude', reach: Site::REACH / 1000),
            );
        }
        if ($shot->intent->lens->horizontal >= 150 * Angle::DEGREE) {
            throw new Refusal(Fact::of('planner.wide-lens-does-not'), 'intent.camera.hfov_deg', Fact::of('planner.less-150-degrees'));
        }
    }
}
