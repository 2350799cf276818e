<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FlightDay;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** What comes in is looked at whole before anything is kept, and what is kept and can't be read takes no list down. */
final class DoorTest extends FeatureCase
{
    private User $user;

    private Shot $shot;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = User::factory()->createOne();
        $this->shot = ShotFactory::whole($this->user);
        $this->actingAs($this->user);
    }

    /** @return iterable<string, array{mixed}> */
    public static function wrongSubjects(): iterable
    {
        yield 'a place that is none' => [[['id' => 'a', 'name' => 'A', 'lat' => 'north', 'lon' => 0, 'alt_m' => 0, 'base_alt_m' => 0]]];
        yield 'beyond the pole' => [[['id' => 'a', 'name' => 'A', 'lat' => 157.6, 'lon' => 0, 'alt_m' => 0, 'base_alt_m' => 0]]];
        yield 'half of one' => [[['id' => 'a', 'name' => 'A']]];
        yield 'a name that is none' => [[['id' => 'a', 'name' => ['x'], 'lat' => 57.6, 'lon' => 0, 'alt_m' => 0, 'base_alt_m' => 0]]];
        yield 'no group at all' => [['a']];
    }

    #[DataProvider('wrongSubjects')]
    public function test_a_shot_file_with_a_wrong_subject_is_refused_whole(mixed $subjects): void
    {
        $file = $this->getJson("/api/v1/shots/{$this->shot->id}/files/json")->assertOk()->json();
        $file['site']['name'] = 'Another place';
        $before = [Site::query()->count(), Shot::query()->count()];
        $this->postJson('/api/v1/shot-files', ['rig_id' => $this->shot->rig_id, 'shot' => [...$file, 'subjects' => $subjects]])
            ->assertUnprocessable();
        self::assertSame($before, [Site::query()->count(), Shot::query()->count()]);
        foreach (['shots', 'sites', 'days', 'today'] as $list) {
            $this->getJson('/api/v1/'.$list)->assertOk();
        }
    }

    public function test_a_damaged_shot_stands_in_its_place_and_can_be_removed(): void
    {
        $other = ShotFactory::whole($this->user);
        DB::table('shots')->where('id', $this->shot->id)
            ->update(['intent' => '{"move":"orbit","subject":"gone"}', 'updated_at' => now()->addMinute()]);
        $list = $this->getJson('/api/v1/shots')->assertOk()->assertJsonCount(2);
        $damaged = array_column($list->json(), 'damaged', 'id');
        self::assertSame([true, false], [$damaged[$this->shot->id], $damaged[$other->id]]);
        $this->getJson("/api/v1/shots/{$this->shot->id}")->assertOk()->assertJsonPath('damaged', true);
        $this->getJson('/api/v1/today')->assertOk();
        $this->deleteJson("/api/v1/shots/{$this->shot->id}")->assertNoContent();
        $this->getJson('/api/v1/shots')->assertJsonCount(1)->assertJsonPath('0.damaged', false);
    }

    public function test_a_damaged_craft_and_site_take_no_list_down(): void
    {
        DB::table('crafts')->where('id', $this->shot->rig->craft_id)->update(['document' => '{"stock":7}']);
        DB::table('sites')->where('id', $this->shot->site_id)->update(['subjects' => '"none"']);
        $this->getJson('/api/v1/crafts')->assertOk()->assertJsonPath('0.damaged', true);
        $this->getJson('/api/v1/sites')->assertOk()->assertJsonPath('0.subjects', 0);
        $this->getJson('/api/v1/rigs')->assertOk();
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function tooLong(): iterable
    {
        yield 'entries' => ['post', 'days/{day}/entries', ['entries' => array_fill(0, 20000, ['uuid' => 'no'])]];
        yield 'subjects' => ['post', 'sites', ['name' => 'x', 'document' => [], 'subjects' => array_fill(0, 61, [])]];
        yield 'filters' => ['post', 'exposures', ['filters' => array_fill(0, 21, 8)]];
        yield 'trials' => ['post', 'hover-points', ['trials' => array_fill(0, 41, [0.1, 0.2])]];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('tooLong')]
    public function test_a_list_that_is_too_long_is_refused_by_its_length(string $method, string $path, array $body): void
    {
        $day = FlightDay::query()->create([
            'school_id' => $this->user->school_id, 'operator_id' => $this->user->id, 'site_id' => $this->shot->site_id, 'version' => 1,
            'title' => 'A day', 'date' => '2026-12-01', 'document' => [],
        ]);
        $answer = $this->json($method, '/api/v1/'.str_replace('{day}', (string) $day->id, $path), $body)->assertUnprocessable();
        self::assertStringContainsString('at most', $answer->json('detail'));
        self::assertCount(1, $answer->json('errors'));
    }

    /** @return iterable<string, array{string}> */
    public static function queries(): iterable
    {
        foreach (['find[]=x', 'find[a][b]=x', 'cursor[]=1', 'operator[$gt]=', 'find=%FF%FE', 'find=a%00b'] as $query) {
            yield $query => [$query];
        }
    }

    #[DataProvider('queries')]
    public function test_what_stands_behind_the_question_mark_is_one_text_each(string $query): void
    {
        foreach (['shots', 'sites', 'takes', 'days'] as $list) {
            $this->getJson("/api/v1/$list?$query")->assertUnprocessable();
        }
    }

    public function test_a_cursor_that_was_tampered_with_opens_nothing_and_breaks_nothing(): void
    {
        foreach (
            ['x', 'eyJpZCI6MX0', base64_encode('{"flown_at":[1],"id":{"a":1}}'), base64_encode('null'), str_repeat('A', 5000)] as $cursor
        ) {
            $this->getJson('/api/v1/takes?cursor='.urlencode($cursor))->assertUnprocessable();
        }
    }
}
