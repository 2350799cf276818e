<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;
use Larkspur\Rig\Finger;
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
        $presses = array_map(static fn (Finger $finger): Press => Press::of($finger, $sheet, $plan), Finger::cases());
        $findings = Checks::all($shot, $plan, $sheet, $presses);

        return new Plan($shot, $plan, $sheet, $presses, $findings);
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
                sprintf('The subject lies %.1f km from take-off.', $distance / 1000),
                'intent.subject',
                sprintf('a subject within %.0f km; are latitude and longitude the right way round?', Site::REACH / 1000),
            );
        }
        if ($shot->intent->lens->horizontal >= 150 * Angle::DEGREE) {
            throw new Refusal('So wide a lens does not draw straight lines.', 'intent.camera.hfov_deg', 'less than 150 degrees');
        }
    }
}
