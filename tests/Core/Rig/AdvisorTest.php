<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Larkspur\Choreography\ShotDemands;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Rig\AdviceWish;
use Larkspur\Rig\Craft;
use Larkspur\Rig\Demand;
use Larkspur\Rig\DemandFit;
use Larkspur\Rig\Hands;
use Larkspur\Rig\House;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\SettingsAdvice;
use Larkspur\Rig\SettingsAdvisor;
use Larkspur\Rig\Trade;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** What the advisor recommends, against a search that tries everything, and against what each house stands for. */
final class AdvisorTest extends TestCase
{
    private const FIVE = ['orbit', 'pull-away', 'slide-with-pan', 'ground-to-horizon', 'drop-and-tilt'];

    /** @return iterable<string, array{string, string, House}> */
    public static function cases(): iterable
    {
        foreach ([['lapwing', 'standard'], ['curlew', 'slow'], ['wren', 'standard']] as [$craft, $mode]) {
            foreach (House::cases() as $house) {
                yield "$craft, $mode, $house->value" => [$craft, $mode, $house];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_no_set_of_a_coarse_grid_is_better_for_five_shots(string $craftName, string $modeName, House $house): void
    {
        $craft = self::craft($craftName);
        $mode = $craft->stock->mode($modeName);
        $advisor = new SettingsAdvisor($craft, $mode, self::demands($craftName, $modeName, self::FIVE), self::wish($house));
        $advised = $advisor->recommended();
        foreach (Finger::cases() as $finger) {
            if ($advisor->of($finger) === []) {
                self::assertSame($mode->top($finger), $advised->top($finger), 'nothing is asked of it, so nothing changes');

                continue;
            }
            $least = $advisor->cost($advised, $finger);
            self::assertLessThanOrEqual($advisor->cost($mode, $finger) + 1e-9, $least, 'never worse than what is set now');
            $ceiling = $craft->ceiling($modeName, $finger);
            foreach (range(2, 12) as $top) {
                foreach ([0.2, 0.26, 0.33, 0.39, 0.44, 0.5] as $half) {
                    foreach ($finger->rotates() ? [$mode->cushion($finger), 0.9, 1.6] : [null] as $cushion) {
                        $other = $advisor->cost($advisor->candidate($mode, $finger, $ceiling * $top / 12, $half, $cushion), $finger);
                        self::assertGreaterThanOrEqual($least - 1e-9, $other, "$finger->value, top $top / 12, half stick $half, cushion $cushion");
                    }
                }
            }
        }
    }

    #[DataProvider('cases')]
    public function test_what_is_advised_lies_within_the_craft_and_flies_every_shot(string $craftName, string $modeName, House $house): void
    {
        $craft = self::craft($craftName);
        $demands = self::demands($craftName, $modeName, self::FIVE);
        $wish = self::wish($house);
        $advice = SettingsAdvice::of($craft, $craft->stock->mode($modeName), $demands, $wish);

        $craft->setUp(['modes' => [...$craft->stock->toArray()['modes'], $modeName => $advice->advised->toArray()]]);
        foreach ($demands as $demand) {
            $now = DemandFit::of($demand, $craft->stock->mode($modeName), $wish->nudge);
            if ($now->reach <= 1) {
                self::assertLessThanOrEqual(
                    1.0, DemandFit::of($demand, $advice->advised, $wish->nudge)->reach, $demand->shot.' '.$demand->finger->value,
                );
            }
        }
    }

    public function test_houses_differ_as_they_say(): void
    {
        $craft = self::craft('lapwing');
        $demands = self::demands('lapwing', 'standard', ['orbit', 'slide-with-pan', 'pull-away']);
        $of = static fn (House $house): ModeTune => SettingsAdvice::of(
            $craft, $craft->stock->mode('standard'), $demands, self::wish($house),
        )->advised;
        [$limit, $middle, $trust] = [$of(House::LimitTheMachine), $of(House::Middle), $of(House::TrustTheFingers)];

        foreach ([Finger::Turn, Finger::Tilt] as $finger) {
            self::assertLessThan($middle->top($finger), $limit->top($finger));
            self::assertLessThan($trust->top($finger), $middle->top($finger));
            self::assertGreaterThan($trust->cushion($finger), $limit->cushion($finger));
        }
    }

    public function test_a_gimbal_that_is_too_slow_for_the_first_second_is_found_out(): void
    {
        $craft = self::craft('lapwing');
        $mode = $craft->stock->mode('standard')->with(Finger::Tilt, 1.5 * Angle::DEGREE);
        $demands = self::demands('lapwing', 'standard', ['pull-away']);
        $tilt = array_values(array_filter($demands, static fn (Demand $demand): bool => $demand->finger === Finger::Tilt))[0];
        $wish = self::wish(House::LimitTheMachine);
        $now = DemandFit::of($tilt, $mode, $wish->nudge);

        self::assertGreaterThan(1.0, $now->reach);
        self::assertStringContainsString('°/s at', implode(' ', array_map(said(...), $now->troubles($wish))));
        self::assertLessThan(1.0, DemandFit::of($tilt, SettingsAdvice::of($craft, $mode, $demands, $wish)->advised, $wish->nudge)->reach);
    }

    public function test_what_no_setting_can_give_is_said_and_not_hidden(): void
    {
        $craft = self::craft('curlew');
        $demand = new Demand('Too quick a pan', Finger::Turn, 2.6, [[3.0, 2.6, 0.0]], 1.3);
        $advice = SettingsAdvice::of($craft, $craft->stock->mode('slow'), [$demand], self::wish(House::Middle));

        self::assertStringContainsString('More than Curlew 900 gives', said($advice->why(Finger::Turn)));
        self::assertNotSame([], DemandFit::of($demand, $advice->advised, $advice->wish->nudge)->troubles($advice->wish));
    }

    public function test_a_coarser_hand_is_given_a_finer_machine(): void
    {
        $craft = self::craft('lapwing');
        $demands = self::demands('lapwing', 'standard', ['orbit', 'pan']);
        $top = static fn (float $nudge): float => SettingsAdvice::of(
            $craft, $craft->stock->mode('standard'), $demands, new AdviceWish(House::TrustTheFingers, $nudge, 0.25, 0.65),
        )->advised->top(Finger::Turn);

        self::assertLessThan($top(0.01), $top(0.06));
    }

    public function test_every_recommendation_says_its_house_and_what_other_numbers_cost(): void
    {
        $craft = self::craft('lapwing');
        $advice = SettingsAdvice::of(
            $craft, $craft->stock->mode('standard'), self::demands('lapwing', 'standard', self::FIVE), self::wish(House::Middle),
        );

        foreach (Finger::cases() as $finger) {
            if ($advice->demands($finger) !== []) {
                self::assertStringStartsWith('The middle way:', said($advice->why($finger)));
                $trades = $advice->trades($finger);
                self::assertNotSame([], array_merge(...array_map(
                    static fn (Trade $trade): array => [...$trade->buys, ...$trade->costs], $trades,
                )));
            }
        }
        $lower = $advice->trades(Finger::Turn)[0];
        self::assertStringStartsWith('Top ', said($lower->change));
        self::assertNotSame([], $lower->buys, 'a lower top makes a nudge finer');
    }

    public function test_no_shots_change_nothing(): void
    {
        $craft = self::craft('lapwing');
        $advice = SettingsAdvice::of($craft, $craft->stock->mode('slow'), [], self::wish(House::Middle));

        self::assertEquals($craft->stock->mode('slow')->toArray(), $advice->advised->toArray());
    }

    private static function wish(House $house): AdviceWish
    {
        return new AdviceWish($house, (new Hands)->nudge(), 0.25, 0.65);
    }

    private static function craft(string $name): Craft
    {
        return Craft::read(Fields::of(Rigs::crafts()[$name]));
    }

    /**
     * @param  list<string>  $moves
     * @return list<Demand>
     */
    private static function demands(string $craft, string $mode, array $moves): array
    {
        static $known = [];
        $demands = [];
        foreach ($moves as $move) {
            $document = Rigs::all()[$craft];
            array_push(
                $demands,
                ...$known["$craft $mode $move"] ??= ShotDemands::of(Lesson::planned($move, $document, $mode, $document['camera']), $move),
            );
        }

        return $demands;
    }
}
