<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\SoundNote;
use Larkspur\Fields;
use Larkspur\Refusal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** Sound and picture: 343.2 m/s at 20 degrees is ISO 9613-1:1993. */
final class SoundNoteTest extends TestCase
{
    public function test_a_recorder_at_take_off_hears_the_subject_late_by_its_distance(): void
    {
        $note = self::note(['sound' => 'sea on the stones', 'sound_when' => 'during']);
        $subject = Planner::plan(self::shot())->move->subject ?? self::fail('It has a subject.');
        $distance = $subject->at(0.0)->length();
        self::assertEqualsWithDelta($distance / 343.2, $note->offset(), 1e-9);
        // By hand: 171.6 m are half a second.
        self::assertEqualsWithDelta(0.5, 171.6 / SoundNote::SPEED, 1e-9);
        $said = array_map(said(...), $note->sentences());
        self::assertStringContainsString('while it is flown: sea on the stones', $said[0]);
        self::assertStringContainsString(round(1000 * $distance / 343.2).' ms late', $said[1]);
    }

    public function test_what_is_recorded_apart_has_no_offset_and_nothing_is_no_note(): void
    {
        foreach (['before', 'after', null] as $when) {
            $note = self::note(array_filter(['sound' => 'sea', 'sound_when' => $when]));
            self::assertSame(0.0, $note->offset());
            self::assertStringContainsString('record it apart', said($note->sentences()[1]));
        }
        self::assertNull(SoundNote::of(Planner::plan(self::shot()), Brief::read(Fields::of(['sound' => '  ', 'sound_when' => 'during']))));
    }

    public function test_when_is_kept_with_the_brief_and_a_strange_one_refused_at_its_place(): void
    {
        $brief = Brief::read(Fields::of(['sound' => 'sea', 'sound_when' => 'after']));
        self::assertEquals($brief, Brief::read(Fields::of($brief->toArray())));
        self::assertArrayNotHasKey('sound_when', (new Brief)->toArray());
        try {
            Brief::read(Fields::of(['sound_when' => 'at noon'], 'brief'));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('brief.sound_when', $refusal->place);
        }
    }

    private static function shot(): Shot
    {
        return Shot::read(Fields::of(Shots::document(['radius_m' => 20.0, 'height_m' => 10.0])));
    }

    /** @param  array<string, string>  $brief */
    private static function note(array $brief): SoundNote
    {
        return SoundNote::of(Planner::plan(self::shot()), Brief::read(Fields::of($brief))) ?? self::fail('There is something to record.');
    }
}
