<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Measure\SeededNoise;
use Larkspur\Training\Group\GroupPicture;
use Larkspur\Training\Group\Member;
use Larkspur\Training\HouseStyle;
use Larkspur\Training\PastTake;
use Larkspur\Training\Record;
use Larkspur\Training\Standing\Comparable;
use Larkspur\Training\Standing\Standing;
use PHPUnit\Framework\TestCase;

/** A class whose troubles are known, because they were made up. */
final class GroupPictureTest extends TestCase
{
    private const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'];

    public function test_known_stuck_fingers_are_found_and_few_others(): void
    {
        $noise = new SeededNoise(21);
        $found = $false = $stuck = $well = 0;
        for ($group = 0; $group < 12; $group++) {
            $class = [];
            $known = [];
            for ($who = 0; $who < 10; $who++) {
                $known[$who] = $noise->uniform() < 0.5 ? self::FINGERS[(int) (5 * $noise->uniform())] : null;
                $class[] = self::learner($noise, $known[$who]);
            }
            $comparable = Comparable::among($class, self::FINGERS);
            foreach ($class as $who => $takes) {
                foreach (self::FINGERS as $finger) {
                    $is = Standing::of($comparable->marks($takes, $finger))->stuck ?? false;
                    if ($finger === $known[$who]) {
                        $stuck++;
                        $found += $is ? 1 : 0;
                    } else {
                        $well++;
                        $false += $is ? 1 : 0;
                    }
                }
            }
        }

        self::assertGreaterThan(0.9 * $stuck, $found);
        self::assertLessThan(0.05 * $well, $false);
    }

    public function test_who_needs_the_trainer_stands_first_and_it_is_said_why(): void
    {
        $noise = new SeededNoise(22);
        $natural = $this->member(1, 'Natural', self::learner($noise, null, 94.0));
        $stuck = $this->member(2, 'Stuck', self::learner($noise, 'tilt'));
        $never = new Member(3, 'Never', [], [], [], []);
        $rows = GroupPicture::byNeed([$natural, $stuck, $never], 85.0);

        self::assertSame('Natural', $rows[2]['member']->name);
        self::assertSame([], $rows[2]['why']);
        $why = array_merge(...array_map(
            static fn (array $row): array => array_map(static fn ($fact): string => $fact->code, $row['why']), $rows,
        ));
        self::assertContains('class.stuck-on', $why);
        self::assertContains('class.never-flown', $why);
        $pairs = GroupPicture::pairs([$natural, $stuck, $never]);
        self::assertSame(['Natural', 'Stuck', 'tilt'], [$pairs[0]['shows']->name, $pairs[0]['learns']->name, $pairs[0]['measure']]);
    }

    public function test_what_many_get_wrong_is_the_next_lesson(): void
    {
        $with = fn (int $id, array $faults): Member => $this->member($id, "$id", array_map(
            static fn (int $k): PastTake => StandingTest::take($k, (float) $k, 'pan', 80.0, faults: $faults), range(1, 8),
        ));
        $common = GroupPicture::common([$with(1, ['kick']), $with(2, ['kick', 'leak']), $with(3, ['kick']), $with(4, [])]);

        self::assertSame([['fault' => 'kick', 'who' => [1, 2, 3]]], $common);
    }

    public function test_one_way_round_and_automation_are_told_of_the_latest_takes(): void
    {
        $takes = static fn (callable $more): array => array_map(
            static fn (int $k): PastTake => StandingTest::take($k, (float) $k, 'orbit', 92.0, ...$more($k)), range(1, 20),
        );
        $why = static fn (array $flown, HouseStyle $style = new HouseStyle): array => array_map(
            static fn ($fact): string => $fact->code,
            GroupPicture::byNeed([(new Record(1, 'A', array_values($flown), [], []))->asMember($style)], 21.0)[0]['why'],
        );

        $left = static fn (int $k): array => ['direction' => $k === 1 ? 'clockwise' : 'counterclockwise'];
        self::assertSame(['class.one-way'], $why($takes($left)));
        self::assertSame([], $why($takes(static fn (int $k): array => ['direction' => $k % 2 === 0 ? 'clockwise' : 'counterclockwise'])));
        $half = static fn (int $k): array => ['automated' => $k % 2 === 0];
        self::assertSame(['class.leans-on-automation'], $why($takes($half)));
        self::assertSame([], $why($takes($half), new HouseStyle(HouseStyle::WELCOME)), 'Where it is welcome nobody is told of.');
        self::assertSame(['class.not-flown'], array_map(static fn ($fact): string => $fact->code, GroupPicture::byNeed(
            [(new Record(1, 'A', array_values($takes(static fn (): array => [])), [], []))->asMember(new HouseStyle)], 36.0,
        )[0]['why']));
    }

    public function test_what_automation_got_wrong_is_not_the_classes_lesson(): void
    {
        $member = fn (int $id): Member => $this->member($id, "$id", array_map(
            static fn (int $k): PastTake => StandingTest::take($k, (float) $k, 'pan', 80.0, faults: ['kick'], automated: true), range(1, 8),
        ));

        self::assertSame([], GroupPicture::common([$member(1), $member(2), $member(3)]));
    }

    /** @param  list<PastTake>  $takes */
    private function member(int $id, string $name, array $takes): Member
    {
        $comparable = new Comparable([], []);
        $standings = [];
        foreach (['score', ...self::FINGERS] as $measure) {
            $standing = Standing::of($comparable->marks($takes, $measure));
            if ($standing !== null) {
                $standings[$measure] = $standing;
            }
        }

        return (new Record($id, $name, $takes, $standings, []))->asMember(new HouseStyle);
    }

    /**
     * Forty takes over twelve weeks of somebody who learns with every finger but one.
     *
     * @return list<PastTake>
     */
    private static function learner(SeededNoise $noise, ?string $stuck, ?float $good = null): array
    {
        $takes = [];
        for ($k = 0; $k < 40; $k++) {
            $day = 2.1 * $k;
            $fingers = [];
            foreach (self::FINGERS as $finger) {
                $level = $finger === $stuck ? 70.0 : $good ?? 70.0 + 0.3 * $day;
                $fingers[$finger] = min(100.0, max(0.0, $level + 4 * $noise->normal()));
            }
            $takes[] = StandingTest::take($k, $day, ['pan', 'rise', 'orbit'][$k % 3], $good ?? 75.0 + 0.15 * $day, fingers: $fingers);
        }

        return $takes;
    }
}
