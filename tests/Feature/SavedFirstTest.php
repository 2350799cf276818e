<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Craft;
use App\Models\FlightDay;
use App\Models\Rig;
use App\Models\Site;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;

/** Two people at one record: whoever saves second is told what was saved first, and nothing of either is lost. */
final class SavedFirstTest extends FeatureCase
{
    /** @return iterable<string, array{string}> */
    public static function records(): iterable
    {
        yield 'a site' => ['site'];
        yield 'a day' => ['day'];
        yield 'a craft' => ['craft'];
    }

    #[DataProvider('records')]
    public function test_the_second_to_save_over_one_version_is_told(string $kind): void
    {
        [$save, $record] = $this->open($kind);
        $save(1, 'first')->assertOk()->assertJsonPath('version', 2);
        $second = $save(1, 'second')->assertConflict()->assertHeader('Content-Type', 'application/problem+json');

        $second->assertJsonPath('type', 'urn:larkspur:problem:saved-first')->assertJsonPath('version', 2);
        self::assertStringStartsWith('Somebody', (string) $second->json('detail'));
        self::assertStringContainsString('first', (string) json_encode($record->refresh()->toArray()), 'the first one stands');
        self::assertStringNotContainsString('second', (string) json_encode($record->toArray()));
        // Having seen it, the second may save over it.
        $save(2, 'second')->assertOk()->assertJsonPath('version', 3);
        self::assertStringContainsString('second', (string) json_encode($record->refresh()->toArray()));
    }

    #[DataProvider('records')]
    public function test_a_version_that_never_was_is_not_taken(string $kind): void
    {
        [$save, $record] = $this->open($kind);
        foreach ([0, 7, -1] as $seen) {
            $save($seen, 'guessed')->assertConflict()->assertJsonPath('version', 1);
        }
        self::assertStringNotContainsString('guessed', (string) json_encode($record->refresh()->toArray()));
    }

    public function test_what_stands_on_a_site_comes_along_to_be_looked_at(): void
    {
        [$save] = $this->open('site');
        $save(1, 'first');
        $save(1, 'second')->assertConflict()->assertJsonPath('latest.name', 'first')->assertJsonPath('latest.version', 2);
    }

    public function test_of_a_rig_both_sets_of_changes_are_told_and_the_name_of_whoever_saved(): void
    {
        [, $operator] = $this->school();
        $rig = Rig::factory()->createOne(['school_id' => $operator->school_id]);
        $settings = $this->actingAs($operator)->getJson("/api/v1/rigs/$rig->id")->json('settings');
        $save = function (float $turn, float $climb) use ($rig, $operator, $settings): TestResponse {
            $settings['modes']['slow']['turn_dps'] = $turn;
            $settings['modes']['slow']['climb_mps'] = $climb;

            return $this->actingAs($operator)->postJson("/api/v1/rigs/$rig->id/versions", [
                'settings' => $settings, 'reason' => 'tried', 'operator_id' => $operator->id,
            ]);
        };
        ['turn_dps' => $turn, 'climb_mps' => $climb] = $settings['modes']['slow'];
        $first = $save($turn - 1, $climb)->assertCreated();
        $second = $save($turn - 2, $climb - 0.1)->assertConflict();

        $second->assertJsonPath('version', $first->json('version'))->assertJsonPath('latest.id', $first->json('id'));
        self::assertStringStartsWith("$operator->name saved version", (string) $second->json('detail'));
        self::assertCount(1, $second->json('difference.theirs'));
        self::assertCount(2, $second->json('difference.mine'));
        self::assertCount(1, $second->json('difference.both'), 'the turn was changed by both');
    }

    /** @return array{User, User} a trainer and an operator of one school */
    private function school(): array
    {
        $trainer = User::factory()->createOne(['role' => User::TRAINER]);

        return [$trainer, User::factory()->createOne(['school_id' => $trainer->school_id])];
    }

    /** @return array{callable(int, string): TestResponse<Response>, Craft|FlightDay|Site} how a version is saved over, and the record */
    private function open(string $kind): array
    {
        [$trainer, $operator] = $this->school();

        return match ($kind) {
            'site' => $this->site($trainer),
            'day' => $this->day($operator),
            default => $this->craft($trainer),
        };
    }

    /** @return array{callable(int, string): TestResponse<Response>, Site} */
    private function site(User $trainer): array
    {
        $site = Site::factory()->createOne(['school_id' => $trainer->school_id, 'author_id' => $trainer->id, 'version' => 1]);
        $drawn = $this->actingAs($trainer)->getJson("/api/v1/sites/$site->id")->json();

        return [fn (int $seen, string $name): TestResponse => $this->actingAs($trainer)->putJson("/api/v1/sites/$site->id", [
            'name' => $name, 'about' => '', 'document' => $drawn['document'], 'subjects' => $drawn['subjects'], 'version' => $seen,
        ]), $site];
    }

    /** @return array{callable(int, string): TestResponse<Response>, FlightDay} */
    private function day(User $operator): array
    {
        $shot = ShotFactory::whole($operator);
        $form = static fn (string $title): array => [
            'title' => $title, 'date' => '2027-05-18', 'site_id' => $shot->site_id,
            'document' => [
                'from' => '09:00', 'to' => '12:00', 'batteries' => ['count' => 2, 'minutes' => 20], 'shots' => [['shot_id' => $shot->id]],
            ],
        ];
        $id = $this->actingAs($operator)->postJson('/api/v1/days', $form('begun'))->assertCreated()->json('id');

        return [
            fn (int $seen, string $title): TestResponse => $this->actingAs($operator)->putJson(
                "/api/v1/days/$id", [...$form($title), 'version' => $seen],
            ),
            FlightDay::query()->whereKey($id)->firstOrFail(),
        ];
    }

    /** @return array{callable(int, string): TestResponse<Response>, Craft} */
    private function craft(User $trainer): array
    {
        $craft = Craft::factory()->createOne(['school_id' => $trainer->school_id]);
        $document = $this->actingAs($trainer)->getJson('/api/v1/crafts')->json('0.document');

        return [function (int $seen, string $name) use ($trainer, $craft, $document): TestResponse {
            $document['stock']['craft'] = $name;

            return $this->actingAs($trainer)->putJson("/api/v1/crafts/$craft->id", ['document' => $document, 'version' => $seen]);
        }, $craft];
    }
}
