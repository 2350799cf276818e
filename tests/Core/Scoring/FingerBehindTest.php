<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Lag;
use Larkspur\Measure\Ramp;
use Larkspur\Measure\SeededNoise;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\FingerBehind;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\MoveDraw;

/** The inverse of a craft's response against the forward model, and against flights that were recorded without their fingers. */
final class FingerBehindTest extends TestCase
{
    /** @return iterable<string, array{float, bool}> */
    public static function fingers(): iterable
    {
        foreach ([true, false] as $stop) {
            foreach ([0.15, 1.5, 2.0, 2.7] as $seconds) {
                yield sprintf('%s of %.2f s', $stop ? 'stop' : 'start', $seconds) => [$seconds, $stop];
            }
        }
    }

    #[DataProvider('fingers')]
    public function test_the_finger_comes_back_out_of_the_motion_that_it_made(float $seconds, bool $stop): void
    {
        foreach ([0.8, 1.0, 1.2] as $slower) {
            $craft = new Response(2.5, 3.0 / $slower, 3.6 / $slower, 0.38 * $slower);
            [$t, $y] = self::motion($craft, $seconds, $stop);
            $finger = FingerBehind::fit($t, $y, 5.6, $stop, $stop ? 2.0 : 9.0, new Response(2.5, 3.0, 3.6, 0.38));

            self::assertNotNull($finger);
            self::assertSame($seconds < 0.5, $finger->wasLetGo());
            if ($seconds > 1) {
                self::assertEqualsWithDelta($seconds, $finger->seconds, 0.25 * $seconds);
            }
        }
    }

    /** The closed form of a stick that is let go (Controls\Response) is the forward model's limit. */
    public function test_a_release_in_closed_form_is_a_finger_that_let_go(): void
    {
        $craft = new Response(3.0, 3.0, 3.6, 0.38);
        $t = $y = [];
        for ($i = 0; $i <= 100; $i++) {
            $t[] = $i * 0.1;
            $y[] = $craft->releasedWay($i * 0.1 - 5.0);
        }
        $finger = FingerBehind::fit($t, $y, 5.6, true, 2.0, $craft);

        self::assertTrue($finger?->wasLetGo());
        self::assertLessThan(0.5, $finger->seconds);
    }

    public function test_under_noise_it_says_that_it_cannot_tell(): void
    {
        $noise = SeededNoise::named(3, 'receiver');
        [$t, $y] = self::motion(new Response(2.5, 3.0, 3.6, 0.38), 0.15, true);
        $rough = array_map(static fn (float $way): float => $way + 0.3 * $noise->normal(), $y);
        $clear = FingerBehind::fit($t, $y, 5.6, true, 2.0, new Response(2.5, 3.0, 3.6, 0.38));
        $dim = FingerBehind::fit($t, $rough, 5.6, true, 2.0, new Response(2.5, 3.0, 3.6, 0.38));

        self::assertFalse($dim?->wasLetGo());
        self::assertGreaterThan($clear?->spread, $dim->spread);
        self::assertNull(FingerBehind::fit([1.0, 2.0], [0.0, 1.0], 1.5, true, 0.0, new Response(2.5, 3.0, 3.6, 0.38)));
    }

    /** @return iterable<string, array{string, Finger}> */
    public static function moves(): iterable
    {
        yield 'a slide' => ['lateral-dolly', Finger::Slide];
        yield 'a run' => ['push-in', Finger::Run];
        yield 'an orbit' => ['orbit', Finger::Slide];
    }

    #[DataProvider('moves')]
    public function test_a_spring_is_told_from_positions_alone_and_an_ease_is_not_called_one(string $move, Finger $finger): void
    {
        $plan = null;
        foreach (MoveDraw::feasible($move, 3, 4, 0.4) as $plan) {
            break;
        }
        self::assertNotNull($plan);
        $judged = static function (OperatorHabits $habits) use ($plan): Score {
            $flight = SimulatedOperator::fly($plan, $habits, Wind::still(), 3);
            $log = (new Recorder(10.0, 0.0, 0.0, 0.0, 0.0))->record($flight, $plan->shot->site->frame(), 3);
            foreach (Finger::cases() as $one) {
                $log = $log->with(["stick_$one->value" => array_fill(0, $log->count(), NAN)]);
            }

            return Scorer::score($log, $plan->move->intent);
        };
        $flicked = static fn (Score $score): array => array_values(array_filter(
            $score->allFaults, static fn (Fault $fault): bool => $fault->id === 'flick-stop' && $fault->axis === 'travel',
        ));
        $eased = $judged(new OperatorHabits);
        $sprung = $judged((new OperatorHabits)->slipping(
            new Slip('spring', $finger, $plan->move->holdTo - $plan->move->onset, 0.0, 8.0),
        ));

        self::assertSame([], $flicked($eased));
        self::assertCount(1, $flicked($sprung));
        self::assertEqualsWithDelta($plan->move->holdTo, $flicked($sprung)[0]->t, 1.2);
        self::assertLessThan($eased->points->score - 3, $sprung->points->score);
    }

    /** @return array{list<float>, list<float>} times and way of an axis whose finger begins at 5 s, stepped by the law of the response */
    private static function motion(Response $craft, float $seconds, bool $stop): array
    {
        $step = 0.005;
        $rate = $stop ? $craft->top : 0.0;
        $share = Lag::share($craft->lag, $step);
        $most = ($stop ? $craft->brake : $craft->accelerate) * $step;
        $way = 0.0;
        $t = $y = [];
        for ($i = 0; $i <= 2000; $i++) {
            if ($i % 20 === 0) {
                $t[] = $i * $step;
                $y[] = $way;
            }
            $eased = Ramp::rate(($i * $step - 5.0) / $seconds);
            $rate += max(-$most, min($most, $share * ($craft->top * ($stop ? 1 - $eased : $eased) - $rate)));
            $way += $rate * $step;
        }

        return [$t, $y];
    }
}
