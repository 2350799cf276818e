<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\Stroke;
use Larkspur\Rig\ModeTune;

/** Creep and lift: low and slow up to an edge, a lift just before it, then a little more pace. */
final readonly class RunAndLift extends Played
{
    /** Equal shares of the way at which the planned speed is stated. */
    private const SHARES = 200;

    public function about(): About
    {
        return new About(
            'run-and-lift', Group::Reveal, 3, 'run+ > climb+', ['rise-and-advance'], faults: ['stopped-short', 'kick', 'leak'],
            family: 'push-in-from-high',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'pace_end_mps', 'climb_m+', 'lift_after_s', 'distance_m', 'height_m', 'start_bearing_deg',
            'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'PAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 36.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.2),
            'pace_end_mps' => self::comfortable($mode, Finger::Run, 2.2), 'climb_m' => 7.0, 'lift_after_s' => 8.0,
            'distance_m' => 50.0, 'height_m' => 2.5, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -4.0,
        ];
    }

    protected function pace(Intent $intent): Pace
    {
        $slow = $intent->number('pace_mps') ?? 1.2;
        $fast = max($slow, $intent->number('pace_end_mps') ?? 2.2);
        $ease = $intent->number('ease_s') ?? self::EASE;
        // The way is the slow pace throughout and what the quicker one adds from the lift on; from that follow the seconds.
        $seconds = (
            ($intent->number('length_m') ?? 36.0) + $slow * $ease + ($fast - $slow) * (($intent->number('lift_after_s') ?? 8.0) + $ease)
        ) / $fast;

        return new Pace(max(0.5, $slow * ($seconds - $ease)), $slow, $ease);
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        $after = $intent->number('lift_after_s') ?? 8.0;
        $more = max(0.0, ($intent->number('length_m') ?? 36.0) - $pace->length);
        $lift = new Stroke(
            $intent->number('climb_m') ?? 7.0, $pace->onset() + $after, max($pace->onset() + $after + 2 * $pace->ease, $pace->stop()),
            $pace->ease,
        );

        return ['run' => $more > 0.01 ? [$pace->stroke, $lift->of($more)] : [$pace->stroke], 'climb' => [$lift]];
    }

    /** The speed planned at equal shares of the way: slow, then quicker. */
    public function wanted(Intent $intent): TakeTarget
    {
        $wanted = parent::wanted($intent);
        if ($intent->number('length_m') === null || $intent->number('pace_mps') === null || $intent->number('pace_end_mps') === null) {
            return $wanted;
        }
        $pace = $this->pace($intent);
        $run = $this->strokes($intent, $pace)['run'] ?? [];
        $profile = [0.0];
        $whole = $intent->number('length_m');
        $given = static fn (float $t): float => array_sum(array_map(static fn (Stroke $stroke): float => $stroke->at($t), $run));
        for ($t = $pace->onset(); $t < $pace->stop(); $t += MovePlan::STEP) {
            // As the scorer's steady kernel of 1.8 s sees it.
            $speed = ($given($t + 0.9) - $given($t - 0.9)) / 1.8;
            for ($k = count($profile); $k <= self::SHARES && $given($t) >= $k * $whole / self::SHARES; $k++) {
                $profile[] = $speed;
            }
        }

        return new TakeTarget($wanted->aimU, $wanted->aimV, extent: $whole, viewing: $wanted->viewing, profile: $profile);
    }
}
