<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;

/** Records that an earlier version kept, after the step that brings them up to date. */
final class UpgradeTest extends FeatureCase
{
    public function test_words_that_a_move_does_not_have_leave_the_kept_shots(): void
    {
        $shot = ShotFactory::whole(User::factory()->createOne());
        $kept = [
            ...$shot->intent, 'move' => 'top-down-follow',
            'parameters' => ['height_m' => 20.0, 'distance_m' => 0.5, 'ease_s' => 2.0, 'sparkle' => 3],
        ];
        $joined = [
            ...$shot->intent, 'move' => 'combination', 'parameters' => [], 'join' => 'sequence',
            'parts' => [
                ['move' => 'orbit', 'parameters' => ['radius_m' => 20.0, 'length_m' => 9.0]],
                ['move' => 'rise', 'parameters' => ['climb_m' => 4.0]],
            ],
        ];
        $other = ShotFactory::whole($shot->operator);
        DB::table('shots')->where('id', $shot->id)->update(['intent' => json_encode($kept)]);
        DB::table('shots')->where('id', $other->id)->update(['intent' => json_encode($joined)]);
        try {
            Intent::read(Fields::of($kept));
            self::fail('It would be read as it is.');
        } catch (Refusal) {
            // Which is why it is brought up to date.
        }

        $this->again('2026_11_29_000002_words_of_a_move');

        $shot->refresh();
        self::assertEqualsCanonicalizing(['height_m', 'ease_s'], array_keys($shot->intent['parameters']));
        self::assertSame('top-down-follow', Intent::read(Fields::of($shot->intent))->move);
        $parts = $other->refresh()->intent['parts'];
        self::assertEquals([['radius_m' => 20.0], ['climb_m' => 4.0]], array_column($parts, 'parameters'));
    }

    public function test_a_shot_of_a_move_that_nobody_knows_stays_as_it_is(): void
    {
        $shot = ShotFactory::whole(User::factory()->createOne());
        $kept = [...$shot->intent, 'move' => 'from-a-later-version', 'parameters' => ['spiral_m' => 4]];
        DB::table('shots')->where('id', $shot->id)->update(['intent' => json_encode($kept)]);

        $this->again('2026_11_29_000002_words_of_a_move');

        self::assertEquals($kept, $shot->refresh()->intent);
    }

    /** Takes a step of the database back, and again. */
    private function again(string $name): void
    {
        $step = require dirname(__DIR__, 2)."/database/migrations/{$name}.php";
        assert($step instanceof Migration && method_exists($step, 'up') && method_exists($step, 'down'));
        $step->down();
        $step->up();
    }
}
