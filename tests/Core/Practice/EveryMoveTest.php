<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Demo\Rigs;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\Flown;
use Larkspur\Practice\Recording;
use Larkspur\Scoring\Expectation;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every move and every drill can be practised: its sheet, played as it is written after the press of record, is a clean pass. */
final class EveryMoveTest extends TestCase
{
    /** Steps of hovering before the press of record. */
    private const HOVER = 150;

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (Catalogue::ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_played_as_written_it_is_a_clean_pass(string $move): void
    {
        $planned = Lesson::planned($move, Rigs::all()['lapwing'], 'standard', ['hfov_deg' => 71.6, 'aspect' => 1.78]);
        $exercise = Exercise::of('plan', $move, $planned->shot, new Conditions, 3);
        $exercise = Exercise::read(Fields::of(json_decode((string) json_encode($exercise->toArray()), true)));
        $fingers = array_map(static fn (array $travel): array => [
            ...array_fill(0, self::HOVER, 0), ...array_map(static fn (float $x): int => (int) round(1000 * $x), $travel),
        ], $exercise->plan->sheet->travel);
        $steps = count($fingers['climb']);
        $flown = Flown::of($exercise, Recording::read(Fields::of([
            'schema' => 'larkspur/recording/1', 'id' => '123e4567-e89b-12d3-a456-426614174000', 'sheet' => $exercise->world()->hash(),
            'step_s' => 0.02, 'fingers' => $fingers, 'recorded' => [[self::HOVER, $steps]], 'device' => ['kind' => 'gamepad'],
        ])));

        self::assertNull($flown->ending, (string) $flown->ending?->what);
        self::assertTrue($flown->isPass());
        $against = $exercise->judgedAgainst();
        self::assertNotNull($against);
        $scores = array_values(iterator_to_array(Scorer::each($flown->pass(), $against)));
        self::assertCount(1, $scores);
        self::assertInstanceOf(Score::class, $scores[0], $scores[0] instanceof Score ? '' : $scores[0]->fact->code);
        // As clean as the plan itself can be: on this stage four ask more of the craft than it gives.
        self::assertGreaterThan(min(85.0, (Expectation::of($exercise->plan)->score->score ?? 0.0) - 3.0), $scores[0]->score);
    }
}
