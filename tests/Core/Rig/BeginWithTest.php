<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Larkspur\Camera\Lens;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;
use Larkspur\Rig\Conversion;
use Larkspur\Rig\Craft;
use Larkspur\Rig\CubicExpoCurve;
use Larkspur\Rig\HalfStickCurve;
use Larkspur\Rig\Hands;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsEffect;
use Larkspur\Rig\SettingsWarning;
use Larkspur\Rig\StartingSet;
use PHPUnit\Framework\TestCase;

/** What a person begins with, and what is said of numbers before they are kept. */
final class BeginWithTest extends TestCase
{
    /** Houses differ as they say they do: what limits the machine is slower and softer than what trusts the fingers (common practice). */
    public function test_every_set_can_be_kept_with_the_craft_that_it_is_for(): void
    {
        foreach (Rigs::crafts() as $name => $document) {
            $craft = Craft::read(Fields::of($document));
            $sets = StartingSet::for($craft);
            self::assertGreaterThanOrEqual($craft->kind === 'ducted' ? 2 : 4, count($sets));
            foreach ($sets as $set) {
                $rig = $set->on($craft, $craft->stock);
                self::assertEqualsWithDelta($rig->settings(), $craft->setUp($rig->settings())->settings(), 1e-6, "$set->value on $name");
                self::assertSame([], $craft->beyond($rig));
                self::assertLessThan($rig->mode('fast')->turn, $rig->mode('slow')->turn);
            }
        }
        $craft = Craft::read(Fields::of(Rigs::crafts()['curlew']));
        [$calm, $quick] = [StartingSet::CalmMachine->on($craft, $craft->stock), StartingSet::QuickMachine->on($craft, $craft->stock)];
        foreach (Rig::MODES as $mode) {
            self::assertLessThan($quick->mode($mode)->tilt, $calm->mode($mode)->tilt);
            self::assertGreaterThan($quick->mode($mode)->tiltCushion, $calm->mode($mode)->tiltCushion);
            self::assertLessThan(
                $quick->mode($mode)->curve(Finger::Turn)->output(0.3), $calm->mode($mode)->curve(Finger::Turn)->output(0.3),
            );
        }
    }

    /** 90 degrees of tilt take 22.5 s at 4 deg/s and 9 s at 10, a full turn 8 s at 45 (t = angle / rate). */
    public function test_seconds_for_a_quarter_and_a_full_turn(): void
    {
        $effect = static function (Finger $finger, float $dps): float {
            $craft = Craft::read(Fields::of(Rigs::crafts()['lapwing']));
            $mode = $craft->stock->mode('standard')->with($finger, top: $dps * Angle::DEGREE);

            return self::effect($craft, $mode)->finger($finger)->secondsFor($finger === Finger::Tilt ? M_PI_2 : 2 * M_PI);
        };
        self::assertEqualsWithDelta(22.5, $effect(Finger::Tilt, 4.0), 1e-9);
        self::assertEqualsWithDelta(9.0, $effect(Finger::Tilt, 10.0), 1e-9);
        self::assertEqualsWithDelta(8.0, $effect(Finger::Turn, 45.0), 1e-9);
    }

    public function test_what_soft_and_sharp_leave_of_the_whole_is_said(): void
    {
        $craft = Craft::read(Fields::of(Rigs::crafts()['lapwing']));
        $feel = static function (float $half) use ($craft): array {
            $mode = $craft->stock->mode('standard')->with(Finger::Run, curve: new HalfStickCurve($half));
            $said = self::effect($craft, $mode)->finger(Finger::Run)->feel();

            $whole = $said->values['full'];
            self::assertInstanceOf(Quantity::class, $whole);

            return [$said->code, $whole->value];
        };
        $full = $craft->stock->mode('standard')->run;
        self::assertSame([['curve.feel.soft', $full], ['curve.feel.straight', $full], ['curve.feel.sharp', $full]],
            [$feel(0.35), $feel(0.5), $feel(0.65)]);
    }

    /** Of a soft expo e the output at x is x - e (x - x^3), at a tenth 0.1 - 0.099 e; of a power curve through h x^(ln h / ln 0.5). */
    public function test_a_conversion_says_what_it_costs_at_a_tenth(): void
    {
        $said = Conversion::of(new HalfStickCurve(0.35), 'soft-expo');
        $nearest = $said->curve;
        self::assertInstanceOf(CubicExpoCurve::class, $nearest);
        $e = $nearest->toArray()['value'] ?? self::fail('It has no number.');
        self::assertEqualsWithDelta(0.1 - 0.099 * $e - 0.1 ** (log(0.35) / log(0.5)), $said->atTenth, 1e-6);
        self::assertGreaterThan(0.005, abs($said->atTenth));
    }

    /** A craft measured slower than its rig was kept: it opens, is told, and nothing is clamped; what goes further is refused. */
    public function test_what_a_rig_asks_beyond_its_craft_is_told_and_left(): void
    {
        $document = Rigs::crafts()['lapwing'];
        $craft = Craft::read(Fields::of($document));
        $document['stock']['modes']['standard']['run_mps'] = 8.9;
        $document['stock']['modes']['standard']['lag_s']['climb'] = 0.4;
        $measured = Craft::read(Fields::of($document));
        $rig = $measured->setUp($craft->stock->settings(), $craft->stock);
        self::assertEqualsWithDelta(9.2, $rig->mode('standard')->run, 1e-9);
        $told = array_filter(SettingsWarning::of($rig, $measured), static fn (SettingsWarning $one): bool => $one->mend !== null);
        self::assertEqualsWithDelta(
            ['modes.standard.run_mps' => 8.9, 'modes.standard.lag_s.climb' => 0.4], array_column($told, 'mend', 'place'), 1e-9,
        );
        $faster = $rig->settings();
        $faster['modes']['standard']['run_mps'] = 9.4;
        $faster['modes']['slow']['turn_dps'] = 900.0;
        $faster['modes']['slow']['brake_mps2'] = 40.0;
        try {
            $measured->setUp($faster, $rig);
            self::fail('It is refused.');
        } catch (Refusal $refusal) {
            $places = array_map(static fn (Refusal $one): string => $one->place, [$refusal, ...$refusal->others]);
            self::assertEqualsCanonicalizing(
                ['modes.standard.run_mps', 'modes.slow.turn_dps', 'modes.slow.brake_mps2'], $places, 'All of it at once.',
            );
        }
    }

    private static function effect(Craft $craft, ModeTune $mode): SettingsEffect
    {
        return new SettingsEffect($craft, $mode, Lens::read(Fields::of(['hfov_deg' => 60, 'aspect' => 1.5])), new Hands);
    }

    public function test_a_wheel_without_any_cushion_has_an_answer(): void
    {
        $plain = new Response(0.4, INF, INF, 0.0);
        self::assertSame([0.0, 0.0, 0.0], [$plain->stopWay(), $plain->stopSeconds(), $plain->startSeconds()]);
        self::assertSame(0.4, $plain->pressed(0.1));
        self::assertEqualsWithDelta(0.04, $plain->pressedWay(0.1), 1e-12);
        // One whose lag is short but not nothing rests after three of it.
        self::assertEqualsWithDelta(0.3, (new Response(0.4, INF, INF, 0.1))->stopSeconds(), 0.001);
    }
}
