<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Demo\Rigs;
use Larkspur\Choreography\Course;
use Larkspur\Choreography\Cue;
use Larkspur\Choreography\FingerPart;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;
use Words\Reader;
use Words\Speaker;

/** What a thumb sheet says in words, held against the travel that stands on it. */
final class CueTest extends TestCase
{
    /** @return iterable<string, array{list<float>, string, float}> travel every fifth of a second, what it is, and where it turns */
    public static function courses(): iterable
    {
        $line = static fn (float $from, float $to): array => array_map(
            static fn (int $k): float => $from + ($to - $from) * $k / 40, range(0, 40),
        );
        yield 'still' => [$line(0.4, 0.41), Course::HELD, 0.405];
        yield 'a little more all along' => [$line(0.1, 0.3), Course::GROWS, 0.3];
        yield 'less, on the other side' => [$line(-0.3, -0.1), Course::FADES, -0.1];
        yield 'more, then less' => [[...$line(0.0, -0.4), ...$line(-0.4, -0.1)], Course::SWELLS, -0.4];
        yield 'less, then more' => [[...$line(0.4, 0.1), ...$line(0.1, 0.4)], Course::DIPS, 0.1];
        yield 'over its rest' => [$line(0.3, -0.2), Course::CROSSES, -0.2];
        yield 'a touch the other way to stop' => [[...$line(0.4, 0.0), -0.05, -0.05, 0.0], Course::FADES, 0.0];
    }

    /** @param  non-empty-list<float>  $travel */
    #[DataProvider('courses')]
    public function test_a_course_is_told_by_its_travel(array $travel, string $kind, float $turn): void
    {
        $course = Course::of($travel, 5.0, 0.2, Statistics::median($travel));
        self::assertSame($kind, $course->kind);
        self::assertEqualsWithDelta($turn, $course->turn, 0.011);
    }

    public function test_where_the_wheel_changes_nothing_says_that_every_finger_stays(): void
    {
        $cues = self::plan('pull-away')->cues();
        $codes = array_map(static fn (Cue $cue): string => self::code($cue), $cues);

        self::assertContains('cue.hold-some-move', $codes);
        self::assertNotContains('cue.hold-nothing-moves', $codes);
        self::assertStringContainsString('tilt dies away', self::said($cues));
        // At its most while the thumbs still come in: that is what is told, and where it is.
        $plan = Lesson::planned('pull-away', Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
        $tilt = array_values(array_filter($plan->cues(), static fn (Cue $cue): bool => $cue->finger === 'tilt'));
        $part = array_values(array_filter($plan->parts, static fn (FingerPart $one): bool => $one->finger === Finger::Tilt))[0];
        $told = self::first($tilt[0])->value('hold');
        self::assertInstanceOf(Quantity::class, $told);
        self::assertEqualsWithDelta(abs($part->peak), $told->value, 0.001);
        self::assertLessThan($plan->move->holdFrom, $tilt[1]->t);
        self::assertStringContainsString('every finger stays where it is', self::said(self::plan('push-in')->cues()));
    }

    public function test_a_spin_asks_for_its_subject_in_the_middle_first(): void
    {
        foreach (['top-down-spin', 'top-down-helix'] as $move) {
            self::assertStringStartsWith('Before you record: straight over the subject', self::said(self::plan($move)->cues()), $move);
        }
        foreach (['top-down-hold', 'orbit', 'pan'] as $move) {
            self::assertStringStartsWith('Record, and rest', self::said(self::plan($move)->cues()), $move);
        }
    }

    public function test_each_finger_has_its_thumb_in_the_readers_mode(): void
    {
        $slide = array_values(array_filter(self::plan('lateral-dolly')->cues(), static fn (Cue $cue): bool => $cue->finger === 'slide'))[0];
        $thumb = $slide->thumb() ?? self::fail('A finger has a thumb.');

        self::assertSame('right thumb', (new Speaker)->say($thumb));
        self::assertSame('left thumb', (new Speaker(new Reader(sticks: StickMode::from(4))))->say($thumb));
    }

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (array_diff(Catalogue::ids(), [Combination::ID]) as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('moves')]
    public function test_what_is_said_stands_on_the_sheet(string $move): void
    {
        $plan = self::plan($move);
        $cues = $plan->cues();
        $told = [];
        foreach ($cues as $cue) {
            $fact = self::first($cue);
            $told["$cue->t $cue->finger"] = ($told["$cue->t $cue->finger"] ?? 0) + ($cue->finger === '' ? 0 : 1);
            if (in_array($fact->code, ['cue.to-over', 'cue.swells-to'], true)) {
                [$hold, $over] = [$fact->value('hold'), $fact->value('over')];
                self::assertInstanceOf(Quantity::class, $hold);
                self::assertInstanceOf(Quantity::class, $over);
                $travel = abs($plan->sheet->at(Finger::from($cue->finger), $cue->t + $over->value));
                self::assertEqualsWithDelta($hold->value, $travel, 0.03, "$move: $cue->finger at $cue->t");
            }
            if (str_starts_with($fact->code, 'cue.touch')) {
                $part = array_values(array_filter($plan->parts, static fn ($one): bool => $one->finger->value === $cue->finger))[0];
                self::assertFalse($part->main, "$move: what the move is made of is no touch.");
            }
        }
        self::assertLessThanOrEqual(1, max([0, ...array_values($told)]), "$move says two things of one finger at once.");
        self::assertLessThanOrEqual($plan->move->marks === [] ? 9 : 10, count($cues), $move);
    }

    public function test_a_main_finger_that_barely_moves_is_no_touch_and_others_are(): void
    {
        $plan = self::plan('orbit');
        $parts = array_combine(array_map(static fn (FingerPart $part): string => $part->finger->value, $plan->parts), $plan->parts);

        self::assertTrue($parts['run']->isTouch());
        self::assertFalse($parts['turn']->isTouch());
        $slow = Shots::plan(['radius_m' => 60, 'pace_mps' => 1.0, 'arc_deg' => 30]);
        $turn = array_values(array_filter($slow->parts, static fn (FingerPart $part): bool => $part->finger === Finger::Turn))[0];
        self::assertLessThan(FingerPart::TOUCH, abs($turn->hold));
        self::assertFalse($turn->isTouch());
    }

    private static function plan(string $move): Plan
    {
        $document = Shots::document();
        $document['intent']['move'] = $move;

        return Planner::plan(Shot::read(Fields::of($document)));
    }

    private static function code(Cue $cue): string
    {
        return self::first($cue)->code;
    }

    private static function first(Cue $cue): Fact
    {
        $facts = $cue->text->code === Fact::ALL ? $cue->text->value('facts') : [$cue->text];
        $first = is_array($facts) ? $facts[0] : null;

        return $first instanceof Fact ? $first : self::fail('A cue says something.');
    }

    /** @param  list<Cue>  $cues */
    private static function said(array $cues): string
    {
        return implode(' ', array_map(static fn (Cue $cue): string => (new Speaker)->say($cue->text), $cues));
    }
}
