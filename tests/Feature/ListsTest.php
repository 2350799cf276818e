<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Controllers\Controller;
use App\Models\FlightDay;
use App\Models\Shot;
use App\Models\Site;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;

/** Lists of thousands: the latest are given, any other is found by its name; and what may be removed from them. */
final class ListsTest extends FeatureCase
{
    public function test_of_many_the_latest_are_given_and_any_other_is_found(): void
    {
        $user = User::factory()->createOne();
        $first = ShotFactory::whole($user);
        $this->copies($first, 200);
        $this->actingAs($user);

        foreach (['/sites' => 'name', '/shots' => 'title', '/days' => 'title'] as $path => $name) {
            $latest = $this->getJson("/api/v1$path")->assertOk()->assertJsonCount(Controller::SHOWN);
            self::assertSame('Ness 200', $latest->json("0.$name"), $path);
            self::assertNotContains('Ness 7', array_column($latest->json(), $name), $path);
            $found = array_column($this->getJson("/api/v1$path?find=".rawurlencode(' 7  ness'))->assertOk()->json(), $name);
            self::assertContains('Ness 7', $found, $path);
            self::assertSame([], array_filter($found, static fn (string $one): bool => ! str_contains($one, '7')), $path);
            // Signs of the query language are letters like any other.
            $this->getJson("/api/v1$path?find=".rawurlencode('%'))->assertOk()->assertJsonCount(0);
            $this->getJson("/api/v1$path?find=".rawurlencode('_ess'))->assertOk()->assertJsonCount(0);
        }
    }

    public function test_shots_can_be_asked_for_by_their_site(): void
    {
        $user = User::factory()->createOne();
        $here = ShotFactory::whole($user);
        $there = ShotFactory::whole($user);
        $found = $this->actingAs($user)->getJson('/api/v1/shots?site='.$here->site_id)->assertOk()->assertJsonCount(1);

        self::assertSame($here->id, $found->json('0.id'));
        self::assertNotSame($here->site_id, $there->site_id);
    }

    public function test_a_shot_is_removed_until_it_has_been_flown(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $flown = ShotFactory::whole($user);
        Take::factory()->of($user)->createOne(['shot_id' => $flown->id]);
        $other = User::factory()->createOne(['school_id' => $user->school_id]);

        $this->actingAs($other)->deleteJson("/api/v1/shots/$shot->id")->assertForbidden();
        $this->actingAs($user)->deleteJson("/api/v1/shots/$shot->id")->assertNoContent();
        $this->getJson("/api/v1/shots/$shot->id")->assertNotFound();
        $this->deleteJson("/api/v1/shots/$flown->id")->assertUnprocessable()->assertJsonPath(
            'detail', 'It was flown: 1 take is judged against it.',
        );
        $this->getJson("/api/v1/shots/$flown->id")->assertOk();
    }

    public function test_a_site_is_removed_once_nothing_uses_it(): void
    {
        $trainer = User::factory()->createOne(['role' => User::TRAINER]);
        $shot = ShotFactory::whole($trainer);
        $this->actingAs($trainer)->deleteJson(
            "/api/v1/sites/$shot->site_id",
        )->assertUnprocessable()->assertJsonPath('errors.0.place', 'site');
        $this->deleteJson("/api/v1/shots/$shot->id")->assertNoContent();
        $this->deleteJson("/api/v1/sites/$shot->site_id")->assertNoContent();
        $this->getJson('/api/v1/sites')->assertOk()->assertJsonCount(0);
        // Of another school nothing is found, so nothing can be removed.
        $this->deleteJson('/api/v1/sites/'.Site::factory()->createOne()->id)->assertNotFound();
    }

    public function test_a_day_is_removed_by_whoever_flies_it_and_leaves_its_shots(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $day = self::day($shot, 'Ness', 3);
        $other = User::factory()->createOne(['school_id' => $user->school_id]);

        $this->actingAs($other)->deleteJson("/api/v1/days/$day->id")->assertForbidden();
        $this->actingAs($user)->deleteJson("/api/v1/days/$day->id")->assertNoContent();
        $this->getJson("/api/v1/days/$day->id")->assertNotFound();
        self::assertSame(1, Shot::query()->count());
    }

    /** As many sites, shots and days, "Ness 1" the oldest. */
    private function copies(Shot $shot, int $count): void
    {
        for ($i = 1; $i <= $count; $i++) {
            $when = now()->addSeconds($i);
            $site = $shot->site->replicate()->fill(['name' => "Ness $i"]);
            $site->timestamps = false;
            $site->forceFill(['created_at' => $when, 'updated_at' => $when])->save();
            $copy = $shot->replicate()->fill(['title' => "Ness $i"]);
            $copy->timestamps = false;
            $copy->forceFill(['created_at' => $when, 'updated_at' => $when])->save();
            self::day($shot, "Ness $i", $i);
        }
    }

    private static function day(Shot $shot, string $title, int $number): FlightDay
    {
        return FlightDay::query()->create([
            'school_id' => $shot->getAttribute('school_id'), 'operator_id' => $shot->operator_id, 'site_id' => $shot->site_id,
            'title' => $title,
            'date' => now()->addDays($number)->toDateString(),
            'document' => ['from' => '09:00', 'to' => '10:00', 'batteries' => ['count' => 1, 'minutes' => 20], 'shots' => []],
            'version' => 1,
        ]);
    }
}
