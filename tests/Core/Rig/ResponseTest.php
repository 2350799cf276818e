<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\Pose;
use Larkspur\Rig\Rig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The closed form of a press and its release, against the simulated craft that is stepped and knows nothing of it. */
final class ResponseTest extends TestCase
{
    /** @return iterable<string, array{string, string, Finger}> */
    public static function axes(): iterable
    {
        foreach (['lapwing', 'curlew', 'wren'] as $craft) {
            foreach (Rig::MODES as $mode) {
                foreach (Finger::cases() as $finger) {
                    yield "$craft $mode $finger->value" => [$craft, $mode, $finger];
                }
            }
        }
    }

    #[DataProvider('axes')]
    public function test_press_and_release_are_as_the_craft_flies_them(string $craft, string $modeName, Finger $finger): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()[$craft]));
        $mode = $rig->mode($modeName);
        $response = $mode->response($finger);
        $step = 0.002;
        $aircraft = new Aircraft($rig, $mode, $step);
        // Tilt begins at its lowest, so that the gimbal's stop is not in the way.
        $pose = new Pose(0.0, 0.0, 30.0, 0.0, $rig->tiltLow);
        $press = $finger === Finger::Tilt ? 1.2 : $response->startSeconds() + 3.0;
        for ($t = 0.0; $t < $press; $t += $step) {
            self::assertEqualsWithDelta($response->pressed($t), self::rate($pose, $finger), 0.006 * $response->top, "after $t s");
            $pose = $aircraft->step($pose, FingerInput::of([$finger->value => 1.0]));
        }
        self::assertEqualsWithDelta($response->pressedWay($press), self::way($pose, $finger, $rig), 0.006 * $response->top * $press);
        if ($finger === Finger::Tilt) {
            return;
        }
        $at = self::way($pose, $finger, $rig);
        $rested = null;
        for ($t = 0.0; $t < $response->stopSeconds() + 4.0; $t += $step) {
            self::assertEqualsWithDelta($response->released($t), self::rate($pose, $finger), 0.006 * $response->top);
            $rested ??= self::rate($pose, $finger) < Response::ARRIVED * $response->top ? $t : null;
            $pose = $aircraft->step($pose, new FingerInput);
        }
        self::assertEqualsWithDelta($response->stopSeconds(), (float) $rested, 0.02);
        self::assertEqualsWithDelta(
            $response->stopWay(), self::way($pose, $finger, $rig) - $at, 0.01 * $response->stopWay() + 0.002 * $response->top,
        );
        self::assertEqualsWithDelta($response->stopWay(), $response->releasedWay(60.0), 1e-9);
    }

    public function test_without_a_limit_it_is_the_plain_lag(): void
    {
        $response = new Response(2.0, INF, INF, 0.5);

        self::assertEqualsWithDelta(2 * (1 - exp(-1)), $response->pressed(0.5), 1e-12);
        self::assertEqualsWithDelta(0.5 * log(20), $response->startSeconds(), 1e-12, '5 % are left after ln 20 time constants');
        self::assertEqualsWithDelta(2.0 * 0.5, $response->stopWay(), 1e-12, 'a speed left to decay travels v tau');
    }

    public function test_without_a_lag_it_is_the_plain_ramp(): void
    {
        $response = new Response(6.0, 3.0, 2.0, 0.0);

        self::assertEqualsWithDelta(3.0, $response->pressed(1.0), 1e-12);
        self::assertEqualsWithDelta(6.0, $response->pressed(2.5), 1e-12);
        self::assertEqualsWithDelta(36 / 4, $response->stopWay(), 1e-12);
        self::assertSame(0.0, $response->pressed(0.0));
        self::assertSame(0.0, $response->pressedWay(-1.0));
    }

    private static function rate(Pose $pose, Finger $finger): float
    {
        return match ($finger) {
            Finger::Run => $pose->northRate, Finger::Slide => $pose->eastRate, Finger::Climb => $pose->climbRate,
            Finger::Turn => $pose->turnRate, Finger::Tilt => $pose->tiltRate,
        };
    }

    private static function way(Pose $pose, Finger $finger, Rig $rig): float
    {
        return match ($finger) {
            Finger::Run => $pose->north, Finger::Slide => $pose->east, Finger::Climb => $pose->up - 30.0,
            Finger::Turn => $pose->heading, Finger::Tilt => $pose->tilt - $rig->tiltLow,
        };
    }
}
