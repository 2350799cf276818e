<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Database\Factories\ShotFactory;
use Larkspur\Move\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;

final class PlanTest extends FeatureCase
{
    public function test_a_draft_is_worked_out_whole(): void
    {
        [$user, $draft] = $this->draft();
        $plan = $this->actingAs($user)->postJson('/api/v1/plans', $draft)->assertOk();

        $plan->assertJsonPath('feasible', true)->assertJsonCount(6, 'frames')->assertJsonCount(5, 'presses')
            ->assertJsonPath('phases.onset_s', 3);
        self::assertSame(count($plan->json('samples.t')), count($plan->json('fingers.slide')));
    }

    public function test_any_place_on_any_site_can_be_the_subject(): void
    {
        [$user, $draft] = $this->draft();
        $plan = $this->actingAs($user)->postJson('/api/v1/plans', [
            ...$draft, 'subject_id' => null, 'subject_at' => ['east_m' => -31.5, 'north_m' => 62.25, 'base_m' => 1.5, 'aim_m' => 2.0],
        ])->assertOk();

        self::assertEqualsWithDelta(-31.5, $plan->json('subject.east_m'), 0.01);
        self::assertEqualsWithDelta(62.25, $plan->json('subject.north_m'), 0.01);
        self::assertEqualsWithDelta(3.5, $plan->json('subject.up_m'), 0.01);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badDrafts(): iterable
    {
        yield 'radius of nothing' => [['parameters' => ['radius_m' => 0]], 'intent.parameters.radius_m'];
        yield 'arc of 4,000 degrees' => [['parameters' => ['arc_deg' => 4000]], 'intent.parameters.arc_deg'];
        yield 'a subject that is not there' => [['subject_id' => 'lighthouse'], 'subject_id'];
        yield 'a subject 40 km away' => [['subject_id' => null, 'subject_at' => ['east_m' => 40000, 'north_m' => 0]], 'intent.subject'];
        yield 'another mode' => [['mode' => 'ludicrous'], 'mode'];
        yield 'no mode' => [['mode' => ''], 'mode'];
        yield 'text for a number' => [['wind' => ['mean_mps' => 'strong']], 'wind.mean_mps'];
        yield 'another move' => [['move' => 'barrel'], 'intent.move'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badDrafts')]
    public function test_bad_drafts_are_refused_at_their_place(array $change, string $place): void
    {
        [$user, $draft] = $this->draft();
        $this->actingAs($user)->postJson('/api/v1/plans', [...$draft, ...$change])
            ->assertUnprocessable()->assertHeader('Content-Type', 'application/problem+json')->assertJsonPath('errors.0.place', $place);
    }

    public function test_another_schools_site_is_not_found(): void
    {
        [$user, $draft] = $this->draft();
        $foreign = Site::factory()->createOne();
        $this->actingAs($user)->postJson('/api/v1/plans', [...$draft, 'site_id' => $foreign->id])->assertNotFound();
    }

    public function test_a_kept_shot_has_every_parameter_fixed(): void
    {
        [$user, $draft] = $this->draft();
        $kept = $this->actingAs($user)->postJson(
            '/api/v1/shots', [...$draft, 'parameters' => ['radius_m' => 19], 'title' => 'Close round the stones'],
        )->assertCreated();
        $shot = Shot::query()->findOrFail((int) $kept->json('id'));

        self::assertSame(
            ['radius_m', 'height_m', 'arc_deg', 'direction', 'pace_mps', 'start_bearing_deg', 'bias_deg', 'ease_s'],
            array_keys($shot->intent['parameters']),
        );
        $kept->assertJsonPath('subject_id', 'stones')->assertJsonPath('operator.id', $user->id);
        $this->actingAs($user)->putJson(
            '/api/v1/shots/'.$shot->id, [...$draft, 'mode' => 'slow', 'title' => 'Slower', 'version' => 1],
        )->assertOk()->assertJsonPath('title', 'Slower')->assertJsonPath('version', 2);
        self::assertSame('slow', $shot->refresh()->mode);
        // Whoever worked on what was there before is asked, with what stands there now.
        $second = [...$draft, 'title' => 'Faster', 'version' => 1];
        $this->actingAs($user)->putJson("/api/v1/shots/$shot->id", $second)->assertConflict()->assertJsonPath('version', 2)
            ->assertJsonPath('latest.title', 'Slower');
        self::assertSame('Slower', $shot->refresh()->title);
        $this->actingAs($user)->putJson("/api/v1/shots/$shot->id", [...$second, 'version' => 2])->assertOk();
    }

    public function test_a_shot_of_a_place_of_ones_own_comes_back_as_it_was_kept(): void
    {
        [$user, $draft] = $this->draft();
        $place = ['east_m' => 17.25, 'north_m' => -40.5, 'base_m' => 2.5, 'aim_m' => 1.25];
        $kept = $this->actingAs($user)->postJson(
            '/api/v1/shots', [...$draft, 'subject_id' => null, 'subject_at' => $place, 'title' => 'Heather'],
        )->assertCreated();
        $back = $kept->assertJsonPath('subject_id', null)->json('subject_at');

        self::assertEqualsWithDelta($place, $back, 0.002);
        $this->actingAs($user)->postJson('/api/v1/plans', [...$draft, 'subject_id' => null, 'subject_at' => $back])->assertOk();
    }

    public function test_the_expected_score_is_asked_for_by_itself(): void
    {
        [$user, $draft] = $this->draft();
        $this->actingAs($user)->postJson('/api/v1/plans', $draft)->assertOk()->assertJsonMissingPath('expected');
        $expectation = $this->actingAs($user)->postJson('/api/v1/expectations', $draft)->assertOk();

        // A shot within every limit, flown as written, is a clean one.
        self::assertGreaterThan(97, $expectation->json('expected.score'));
        self::assertSame(
            sprintf('Flown as written it would score %.0f.', $expectation->json('expected.score')), $expectation->json('sentence'),
        );
        $this->actingAs($user)->postJson('/api/v1/expectations', [...$draft, 'parameters' => ['radius_m' => -4]])->assertUnprocessable();
    }

    public function test_a_shot_that_cannot_be_drawn_is_not_kept(): void
    {
        [$user, $draft] = $this->draft();
        $this->actingAs($user)->postJson(
            '/api/v1/shots', [...$draft, 'parameters' => ['radius_m' => -4], 'title' => 'No'],
        )->assertUnprocessable();
        self::assertSame(0, Shot::query()->count());
    }

    public function test_shots_are_their_operators_and_the_trainers(): void
    {
        $operator = User::factory()->createOne();
        $shot = ShotFactory::whole($operator);
        $other = User::factory()->createOne(['school_id' => $operator->school_id]);
        $trainer = User::factory()->trainer()->createOne(['school_id' => $operator->school_id]);
        $stranger = User::factory()->trainer()->createOne();

        $this->actingAs($operator)->getJson('/api/v1/shots/'.$shot->id)->assertOk();
        $this->actingAs($trainer)->getJson('/api/v1/shots/'.$shot->id)->assertOk();
        $this->actingAs($other)->getJson('/api/v1/shots/'.$shot->id)->assertForbidden();
        $this->actingAs($stranger)->getJson('/api/v1/shots/'.$shot->id)->assertNotFound();
        $this->actingAs($other)->getJson('/api/v1/shots')->assertOk()->assertJsonCount(0);
        $this->actingAs($trainer)->getJson('/api/v1/shots?operator='.$operator->id)->assertOk()->assertJsonCount(1);
    }

    public function test_moves_and_rigs_say_what_they_are(): void
    {
        [$user] = $this->draft();
        $this->actingAs($user)->getJson('/api/v1/moves')->assertOk()->assertJsonPath('0.id', 'push-in')->assertJsonPath(
            '0.parameters.0.unit', 'm',
        )->assertJsonCount(count(Catalogue::ids()));
        $rig = $this->actingAs($user)->getJson('/api/v1/rigs')->assertOk()->assertJsonCount(1)->json('0.id');
        $this->actingAs($user)->getJson("/api/v1/rigs/{$rig}")->assertOk()->assertJsonPath('craft', 'Lapwing 250')
            ->assertJsonCount(3, 'settings.modes');
        $this->actingAs($user)->getJson('/api/v1/rigs/'.Rig::factory()->createOne()->id)->assertNotFound();
        $this->actingAs($user)->getJson('/api/v1/sites')->assertOk()->assertJsonCount(1)->assertJsonMissingPath('0.document');
    }

    /** @return array{User, array<string, mixed>} */
    private function draft(): array
    {
        $user = User::factory()->createOne();
        $site = Site::factory()->createOne(['school_id' => $user->school_id]);
        $rig = Rig::factory()->createOne(['school_id' => $user->school_id]);

        return [
            $user,
            [
                'site_id' => $site->id, 'rig_id' => $rig->id, 'mode' => 'standard', 'move' => 'orbit', 'subject_id' => 'stones',
                'parameters' => ['radius_m' => 22, 'pace_mps' => 2.2, 'arc_deg' => 90],
            ],
        ];
    }
}
