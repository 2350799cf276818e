<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Fields;
use Larkspur\Practice\PassOfMany;
use Larkspur\Refusal;
use Larkspur\Training\Dispute;
use Larkspur\Training\HouseStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HouseStyleTest extends TestCase
{
    public function test_what_is_left_out_stays_as_it_was(): void
    {
        $school = HouseStyle::read(Fields::of(['automation' => 'welcome', 'passes' => 2]));
        $operator = HouseStyle::read(Fields::of(['slow' => false]), $school);

        self::assertSame(['automation' => 'welcome', 'slow' => false, 'passes' => 2, 'most_gust_mps' => 8.0], $operator->toArray());
        self::assertEquals($operator, HouseStyle::read(Fields::of($operator->toArray())));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no pass at all' => [['passes' => 0], 'passes'];
        yield 'half a pass' => [['passes' => 1.5], 'passes'];
        yield 'a storm' => [['most_gust_mps' => 21], 'most_gust_mps'];
        yield 'wind from nowhere' => [['most_gust_mps' => -1], 'most_gust_mps'];
        yield 'both' => [['automation' => 'both'], 'automation'];
        yield 'perhaps' => [['slow' => 'perhaps'], 'slow'];
    }

    /** @param  array<string, mixed>  $held */
    #[DataProvider('wrong')]
    public function test_what_nobody_can_hold_is_refused_at_its_place(array $held, string $place): void
    {
        try {
            HouseStyle::read(Fields::of($held));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
        }
    }

    public function test_no_wind_at_all_is_an_answer(): void
    {
        self::assertSame(0.0, HouseStyle::read(Fields::of(['most_gust_mps' => 0]))->mostGust);
    }

    public function test_so_many_passes_as_the_school_holds_make_a_choice(): void
    {
        $passes = [new PassOfMany(1, 70.0, 1.0, []), new PassOfMany(2, 84.0, 1.0, [])];

        self::assertNull(PassOfMany::best($passes, 3));
        self::assertSame(2, PassOfMany::best($passes, 2)?->take);
        self::assertSame(1, PassOfMany::best([$passes[0]], 1)?->take);
    }

    public function test_every_choice_that_is_offered_is_one_that_is_held(): void
    {
        $held = array_keys((new HouseStyle)->toArray());
        $offered = array_map(static fn (Dispute $one): string => $one->chosenAt(), Dispute::cases());
        $elsewhere = ['house', 'judging', 'ladder', 'rig', 'shot', 'settled'];

        self::assertSame([], array_values(array_diff($held, $offered)), 'No choice without its question.');
        self::assertSame([], array_values(array_diff($offered, $held, $elsewhere)), 'No question that leads nowhere.');
    }
}
