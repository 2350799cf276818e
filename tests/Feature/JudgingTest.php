<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Score;
use App\Models\User;
use Database\Factories\ShotFactory;

/** What a school chooses about judging is kept, honoured by every take after it, and nobody else's. */
final class JudgingTest extends FeatureCase
{
    public function test_trainers_choose_and_what_is_judged_after_is_judged_so(): void
    {
        $trainer = User::factory()->createOne(['role' => User::TRAINER]);
        $operator = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $shot = ShotFactory::whole($operator);
        $judging = $this->actingAs($trainer)->getJson('/api/v1/judging')->assertOk();
        $judging->assertJsonPath('tolerances', $judging->json('ordinary'));
        $tolerance = function (int $seed) use ($operator, $shot): float {
            $this->actingAs($operator)->postJson("/api/v1/shots/{$shot->id}/flights", ['operator' => 'steady', 'seed' => $seed])
                ->assertCreated()->assertJsonPath('state', 'done');
            $figures = Score::query()->latest('id')->firstOrFail()->document['plan']['figures'];

            return array_column($figures, 'tolerance', 'id')['pace'];
        };
        $before = $tolerance(1);
        $tight = [...$judging->json('ordinary'), 'pace_percent' => 5];

        $this->actingAs($trainer)->putJson('/api/v1/judging', ['crop_budget_percent' => 30, 'tolerances' => $tight])
            ->assertOk()->assertJsonPath('tolerances.pace_percent', 5)->assertJsonPath('crop_budget_percent', 30);
        self::assertLessThan($before, $tolerance(2));
        $this->getJson('/api/v1/me')->assertJsonPath('crop_budget', 0.3);
        // Another school has its own.
        $this->actingAs(User::factory()->createOne())->getJson('/api/v1/judging')->assertJsonPath('tolerances.pace_percent', 30);
    }

    public function test_operators_see_them_and_numbers_beyond_reason_are_refused_by_name(): void
    {
        $trainer = User::factory()->createOne(['role' => User::TRAINER]);
        $ordinary = $this->actingAs($trainer)->getJson('/api/v1/judging')->json('ordinary');
        $this->putJson('/api/v1/judging', ['crop_budget_percent' => 15, 'tolerances' => [...$ordinary, 'tilt_deg' => 0]])
            ->assertUnprocessable()->assertJsonPath('errors.0.place', 'tolerances.tilt_deg');
        $operator = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $this->actingAs($operator)->getJson('/api/v1/judging')->assertOk();
        $this->putJson('/api/v1/judging', ['crop_budget_percent' => 15, 'tolerances' => $ordinary])->assertForbidden();
    }
}
