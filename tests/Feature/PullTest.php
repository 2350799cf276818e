<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Database\Factories\ShotFactory;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use PHPUnit\Framework\Attributes\DataProvider;

/** A handle that is pulled on the page, as the API has it: what is drawn, what is sent, and what comes back to be kept. */
final class PullTest extends FeatureCase
{
    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        // One of each shape of move; what holds of every handle is core's to test.
        foreach ([
            'orbit', 'spiral-orbit', 'pull-away', 'lateral-dolly', 'pan', 'lift-and-tilt', 'follow', 'overtake', 'top-down-helix',
            'locked-off',
        ] as $id) {
            yield $id => [$id];
        }
        foreach (['square-with-turns', 'landing', 'nose-in-bay', 'combination'] as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_every_handle_that_is_drawn_can_be_pulled_and_what_it_gives_be_kept(string $move): void
    {
        $draft = $this->draft($move);
        $plan = $this->postJson('/api/v1/plans', $draft)->assertOk()->assertJsonPath('pulled', null);
        self::assertNotSame([], $plan->json('handles'));
        foreach ($plan->json('handles') as $handle) {
            $to = match ($handle['sheet']) {
                'thumbs' => ['t_s' => $handle['t_s'] + 1.0],
                'side' => $handle['tilt_deg'] === null ? ['up_m' => $handle['up_m'] + 1.0] : ['tilt_deg' => $handle['tilt_deg'] + 4.0],
                default => ['east_m' => $handle['east_m'] + 2.0, 'north_m' => $handle['north_m'] - 1.0],
            };
            $pulled = $this->postJson('/api/v1/plans', [...$draft, 'pull' => ['handle' => $handle['id'], 'to' => $to]]);
            if ($pulled->status() === 422) {
                // Such as a way that would end beyond its subject: said where it is set.
                self::assertStringStartsWith('intent.par', (string) $pulled->json('errors.0.place'), "{$handle['id']} of {$move}");

                continue;
            }
            $pulled->assertOk();
            self::assertNotSame([], $pulled->json('pulled'), "{$handle['id']} of {$move}");
            $this->postJson('/api/v1/plans', self::with($draft, $pulled->json('pulled')))->assertOk()
                ->assertJsonPath('samples', $pulled->json('samples'));
        }
    }

    public function test_steps_add_up(): void
    {
        $draft = $this->draft('pull-away');
        $by = fn (float $right): float => $this->postJson(
            '/api/v1/plans', [...$draft, 'pull' => ['handle' => 'end', 'by' => ['right' => $right, 'up' => 0]]],
        )
            ->assertOk()->json('pulled.length_m');

        self::assertEqualsWithDelta(4.0, $by(5) - $by(1), 1e-9);
        self::assertEqualsWithDelta(2.0, $by(1) - $by(-1), 1e-9);
    }

    public function test_a_handle_that_is_not_there_is_refused_at_its_place(): void
    {
        $hover = $this->draft('hover');
        $refused = $this->postJson('/api/v1/plans', [...$hover, 'pull' => ['handle' => 'end', 'to' => ['east_m' => 1]]]);
        $refused->assertUnprocessable()->assertJsonPath('errors.0.place', 'pull.handle');
        $this->postJson('/api/v1/plans', [...$hover, 'pull' => ['to' => ['east_m' => 1]]])->assertUnprocessable();
    }

    public function test_labels_are_said_to_whoever_reads_them(): void
    {
        $labels = array_column($this->postJson('/api/v1/plans', $this->draft('combination'))->json('handles'), 'label', 'id');

        self::assertSame('Part 1, Start: radius and bearing', $labels['part-1-start']);
        self::assertSame('Part 2, End: length of the way', $labels['part-2-end']);
    }

    public function test_the_other_way_round_of_a_figure_is_taken(): void
    {
        $draft = $this->draft('figure-of-eight');
        $opposite = $this->postJson('/api/v1/plans', $draft)->json('opposite');
        self::assertSame(['direction' => 'counterclockwise'], $opposite);
        $this->postJson('/api/v1/plans', self::with($draft, $opposite))->assertOk()->assertJsonPath('opposite.direction', 'clockwise');
    }

    /**
     * A draft with what a pull gave, as the page puts it in.
     *
     * @param  array<string, mixed>  $draft
     * @param  array<string, float|string>  $values
     * @return array<string, mixed>
     */
    private static function with(array $draft, array $values): array
    {
        foreach ($values as $id => $value) {
            if (preg_match('/^parts\.(\d)\.(.+)$/', $id, $named) === 1) {
                $draft['parts'][(int) $named[1]]['parameters'][$named[2]] = $value;
            } else {
                $draft['parameters'][$id] = $value;
            }
        }

        return $draft;
    }

    /** @return array<string, mixed> */
    private function draft(string $move): array
    {
        $shot = ShotFactory::whole(User::factory()->createOne());
        $this->actingAs($shot->operator);
        $drill = Catalogue::move($move)->about()->group === Group::Drill;
        $parts = [['move' => 'orbit', 'parameters' => ['arc_deg' => 90]], ['move' => 'pull-away', 'parameters' => ['length_m' => 20]]];

        return [
            'site_id' => $shot->site_id, 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => $move,
            'subject_id' => $drill ? null : 'stones', 'parameters' => [],
            ...$move === 'combination' ? ['join' => 'sequence', 'parts' => $parts] : [],
        ];
    }
}
