<?php

declare(strict_types=1);

namespace Tests\Core;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Move;
use Larkspur\Move\Parameter;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;

/**
 * Feasible plans of a move drawn from a seed over every craft and mode: each of its parameters, stratified over the
 * stretch that its dial shows, about what the move takes by default.
 */
final class MoveDraw
{
    /** Draws after which a move that yields nothing is given up. */
    private const PATIENCE = 400;

    /**
     * @param  float  $spread  how far from what is usual: 1 from six tenths to twice
     * @return \Generator<int, Plan> without end, unless nothing feasible is found for long
     */
    public static function feasible(string $id, int $seed, int $strata = 10, float $spread = 1.0): \Generator
    {
        $move = Catalogue::move($id);
        $noise = SeededNoise::named($seed, $id);
        $barren = 0;
        for ($case = 0; $barren < self::PATIENCE; $case++) {
            try {
                $plan = Planner::plan(Shot::read(Fields::of(self::document($move, $case, $strata, $noise, $spread))));
            } catch (Refusal) {
                $barren++;

                continue;
            }
            if ($plan->feasible()) {
                $barren = 0;
                yield $plan;
            } else {
                $barren++;
            }
        }
    }

    /** @return array<string, mixed> */
    private static function document(Move $move, int $case, int $strata, SeededNoise $noise, float $spread): array
    {
        // A narrow draw stays with one craft in its middle mode.
        $rig = Rigs::all()[$spread < 1 ? 'lapwing' : ['lapwing', 'curlew', 'wren'][$case % 3]];
        $mode = $spread < 1 ? 'standard' : Rig::MODES[intdiv($case, 3) % 3];
        $document = Shots::document([], ['rig' => $rig, 'mode' => $mode]);
        $document['intent'] = [...$document['intent'], 'move' => $move->about()->id, 'camera' => $rig['camera']];
        if ($move->about()->group === Group::Drill) {
            unset($document['intent']['subject']);
        } else {
            $document['intent']['aim'] = ['x' => $noise->between(0.35, 0.65), 'y' => $noise->between(0.4, 0.6)];
        }
        if ($move->about()->group === Group::Follow && $case % 4 === 3) {
            $document['intent']['subject'] = ['track' => self::track($noise), 'base_alt_m' => 5.2];
        }
        $shot = Shot::read(Fields::of($document));
        $usual = $move->defaults($shot->intent, $shot->site->frame(), $shot->tune());
        $parameters = [];
        foreach ($move->parameters() as $k => $parameter) {
            $value = self::value(
                $parameter, $usual[$parameter->id] ?? null, ($case * 7 + $k * 3) % $strata, $strata, $noise, $case, $spread,
            );
            if ($value !== null) {
                $parameters[$parameter->id] = $value;
            }
        }
        $document['intent']['parameters'] = $parameters;

        return $document;
    }

    private static function value(
        Parameter $parameter, float|string|null $usual, int $stratum, int $strata, SeededNoise $noise, int $case, float $spread,
    ): float|string|null {
        $share = ($stratum + $noise->between(0, 1)) / $strata;
        if ($parameter->choices !== []) {
            return $usual === null ? null : $parameter->choices[$case % count($parameter->choices)];
        }
        if ($parameter->id === 'ease_s') {
            return 2.2 + 2.8 * $share;
        }
        if (! is_float($usual)) {
            return $parameter->id === 'start_bearing_deg' ? 360 * $share : null;
        }
        $value = match (true) {
            $parameter->unit === 'deg' && in_array(
                $parameter->id, ['start_bearing_deg', 'heading_deg', 'subject_course_deg'], true,
            ) => 360 * $share,
            // A tilt, a place in the frame and a count lie about what is usual; all else goes from six tenths to twice of it.
            str_starts_with($parameter->id, 'tilt_') && $parameter->unit === 'deg' => $usual + 16 * ($share - 0.5),
            $parameter->id === 'first_y', $parameter->id === 'last_y' => $usual + 0.1 * ($share - 0.5),
            $parameter->id === 'turns' => (float) (1 + $stratum % 2),
            default => $usual * exp($spread * (log(0.6) + $share * (log(1.9) - log(0.6)))),
        };

        return max($parameter->least, min($parameter->most, $value));
    }

    /**
     * A subject that goes round a gentle bend, quicker and slower, from rest to rest.
     *
     * @return list<array{t: float, lat: float, lon: float, alt_m: float}>
     */
    private static function track(SeededNoise $noise): array
    {
        $frame = new LocalFrame(new GeoPoint(57.60045, -0.3996, 6.4));
        $course = $noise->between(0, 2 * M_PI);
        $bend = $noise->between(-0.015, 0.015);
        $pace = $noise->between(0.9, 1.8);
        $wave = $noise->between(0.0, 0.12);
        $east = $north = 0.0;
        $track = [];
        for ($k = 0; $k <= 140; $k++) {
            $t = 0.25 * $k;
            $point = $frame->geoPoint(new \Larkspur\Geo\Position($east, $north, 0));
            $track[] = ['t' => $t, 'lat' => $point->latitude, 'lon' => $point->longitude, 'alt_m' => $point->altitude];
            $ease = 0.5 - 0.5 * cos(M_PI * max(0.0, min(1.0, ($t - 3) / 4)));
            $end = 0.5 + 0.5 * cos(M_PI * max(0.0, min(1.0, ($t - 27) / 4)));
            $speed = $pace * (1 + $wave * sin(0.4 * $t)) * $ease * $end;
            $course += $bend * $speed * 0.25;
            $east += 0.25 * $speed * sin($course);
            $north += 0.25 * $speed * cos($course);
        }

        return $track;
    }
}
