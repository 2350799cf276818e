<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\DayEntry;
use App\Models\FlightDay;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Larkspur\Choreography\Planner;
use Larkspur\Flight\OperatorHabits;
use Larkspur\FlightDay\DayLimits;
use Larkspur\Site\Wind;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Checks\Independent;

/** Days of flying: timetable, lists, cautions, what came from the field, and what is taken along. */
final class DayTest extends FeatureCase
{
    public function test_a_day_is_worked_out_and_keeps_to_its_batteries(): void
    {
        [$user, $shot] = $this->shot();
        $day = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->assertCreated();
        $day->assertJsonPath(
            'timetable.slots.0.passes', 4,
        )->assertJsonPath('timetable.left', [])->assertJsonPath('problem', null)->assertJsonPath(
            'missing', ['authority', 'owner', 'rule_source'],
        );
        self::assertSame('2026-06-03T09:00', substr($day->json('timetable.slots.0.ready'), 0, 16));
        self::assertGreaterThan(15, $day->json('return.height_m'));
        self::assertStringContainsString($shot->rig->craft, json_encode($day->json('lists'), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        self::assertSame($day->json('timetable'), $this->getJson('/api/v1/days/'.$day->json('id'))->json('timetable'));
    }

    public function test_its_hours_are_those_of_the_sites_clock(): void
    {
        [$user, $shot] = $this->shot();
        $site = $shot->site;
        $site->forceFill(['document' => [...$site->document, 'zone' => 'Pacific/Auckland']])->save();
        $form = self::form($shot);
        $day = $this->actingAs($user)->postJson('/api/v1/days', $form)->assertCreated();

        $day->assertJsonPath('zone', 'Pacific/Auckland')->assertJsonPath('begins', '2026-06-02T21:00:00Z')->assertJsonPath(
            'timetable.slots.0.ready', static fn (string $ready): bool => str_starts_with($ready, '2026-06-02T21:00'),
        );
        $form['document']['to'] = '08:00';
        $this->putJson(
            '/api/v1/days/'.$day->json('id'), [...$form, 'version' => 1],
        )->assertOk()->assertJsonPath('problem.expected', 'a time after 09:00');
        self::assertStringStartsWith('%PDF', (string) $this->get('/api/v1/days/'.$day->json('id').'/sheet')->assertOk()->getContent());
    }

    public function test_without_a_battery_the_day_is_kept_and_says_what_is_missing(): void
    {
        [$user, $shot] = $this->shot();
        $form = self::form($shot);
        $form['document']['batteries']['count'] = 0;
        $this->actingAs($user)->postJson('/api/v1/days', $form)->assertCreated()->assertJsonPath('timetable', null)->assertJsonPath(
            'problem.place', 'batteries.count',
        )->assertJsonPath(
            'problem.message', 'A day without a battery flies nothing.',
        );
    }

    public function test_planned_anew_when_the_wind_turns_or_time_has_passed(): void
    {
        [$user, $shot] = $this->shot();
        $form = self::form($shot);
        $id = $this->actingAs($user)->postJson('/api/v1/days', $form)->json('id');
        $form['document']['weather'] = ['from_deg' => 200, 'mean_mps' => 12, 'gust_mps' => 19];
        $windy = $this->putJson("/api/v1/days/$id", [...$form, 'version' => 1])->assertOk();
        $windy->assertJsonPath('timetable.slots', []);
        self::assertStringContainsString('Gusts', $windy->json('timetable.left.0.why'));
        // One of its four passes is kept, one is to be flown again, one was dropped: planned anew, three are left.
        $this->postJson(
            "/api/v1/days/$id/entries",
            ['entries' => [self::pass($shot, 1, 'kept'), self::pass($shot, 2, 'again'), self::pass($shot, 3, 'dropped')]],
        )->assertOk()->assertJsonPath("passes.shot-$shot->id.2.verdict", 'dropped');
        $form['document']['weather'] = null;
        $form['document']['replanned'] = true;
        $this->putJson("/api/v1/days/$id", [...$form, 'version' => 2])->assertOk()->assertJsonPath('timetable.slots.0.passes', 3);
        $form['document']['only_must'] = true;
        $this->putJson("/api/v1/days/$id", [...$form, 'version' => 3])->assertOk()->assertJsonPath('timetable.slots', []);
        $this->putJson("/api/v1/days/$id", [...$form, 'version' => 3])->assertConflict()->assertJsonPath('version', 4);
    }

    public function test_entries_sent_twice_are_entered_once_and_a_clock_ahead_does_not_win(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $tick = [
            'uuid' => '5f0c0a52-8c5b-4d0f-a0b0-000000000001', 'kind' => 'tick', 'item' => 'bag-cards', 'payload' => ['on' => true],
            'device' => 'tablet', 'made_at' => '2039-01-01T00:00:00Z',
        ];
        $this->postJson("/api/v1/days/$id/entries", ['entries' => [$tick]])->assertOk();
        $this->postJson(
            "/api/v1/days/$id/entries",
            ['entries' => [$tick, [...$tick, 'uuid' => '5f0c0a52-8c5b-4d0f-a0b0-000000000002', 'item' => 'bag-filters']]],
        )->assertOk()->assertJsonPath('ticks.bag-cards.on', true);
        self::assertSame(2, DayEntry::query()->count());
        self::assertTrue(DayEntry::query()->firstOrFail()->made_at->isPast());
        $this->postJson(
            "/api/v1/days/$id/entries", ['entries' => [[...$tick, 'kind' => 'pass', 'uuid' => '5f0c0a52-8c5b-4d0f-a0b0-000000000003']]],
        )->assertUnprocessable();
        $trainer = User::factory()->createOne(['school_id' => $user->school_id, 'role' => User::TRAINER]);
        $conflict = $this->actingAs($trainer)->postJson(
            "/api/v1/days/$id/entries",
            ['entries' => [[
                ...$tick, 'uuid' => '5f0c0a52-8c5b-4d0f-a0b0-000000000004', 'device' => 'phone', 'payload' => ['on' => false],
                'made_at' => '2026-06-03T08:00:00Z',
            ]]],
        )->assertOk();
        self::assertCount(1, $conflict->json('conflicts'));
    }

    public function test_a_clock_that_is_an_hour_behind_is_put_right_by_what_it_says_of_now(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $behind = now()->subHour();
        $entry = [
            'uuid' => '5f0c0a52-8c5b-4d0f-a0b0-000000000011', 'kind' => 'battery', 'item' => 'battery-1', 'payload' => ['on' => true],
            'device' => 'tablet', 'made_at' => $behind->copy()->subMinutes(2)->toIso8601ZuluString(),
        ];
        $this->postJson("/api/v1/days/$id/entries", ['entries' => [$entry], 'sent_at' => $behind->toIso8601ZuluString()])->assertOk();
        self::assertEqualsWithDelta(120, now()->diffInSeconds(DayEntry::query()->firstOrFail()->made_at, true), 3);
        $log = $this->getJson("/api/v1/days/$id/log")->assertOk();
        self::assertTrue($log->json('batteries.battery-1.running'));
    }

    public function test_a_pass_finds_the_take_of_its_log_by_shot_and_time(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        foreach ([1, 2, 3] as $number) {
            app(FlyShot::class)(
                $shot->load(['site', 'rig', 'operator.school']), OperatorHabits::named('steady'), 'steady', Wind::still(), $number, $user,
            );
        }
        $flown = Take::query()->get()->sortBy('id')->values();
        [$first, $second, $third] = [$flown[0], $flown[1], $flown[2]];
        $now = now()->startOfSecond();
        $first?->update(['flown_at' => $now->copy()->subMinutes(20), 'practised' => false]);
        $second?->update(['flown_at' => $now->copy()->subMinutes(6), 'practised' => false]);
        $third?->update(['flown_at' => $now->copy()->subHours(5), 'practised' => false]);
        $at = static fn (int $minutes, array $pass): array => [
            ...$pass, 'made_at' => $now->copy()->subMinutes($minutes)->toIso8601ZuluString(),
        ];
        $this->postJson("/api/v1/days/$id/entries", ['entries' => [
            $at(18, self::pass($shot, 1, 'kept')), $at(5, self::pass($shot, 2, 'kept')), $at(4, self::pass($shot, 3, 'again')),
        ]])->assertOk();
        $passes = $this->getJson("/api/v1/days/$id/log")->assertOk()->json("passes.shot-$shot->id");
        // Each take once: the third pass, entered a minute after the second, awaits its own log.
        self::assertSame([$first?->id, $second?->id, null], array_column($passes, 'take_id'));
        $awaited = $this->getJson('/api/v1/logbook')->assertOk()->json('awaited');
        self::assertSame([[3, 'again', $shot->title, $id]], array_map(
            static fn (array $one): array => [$one['number'], $one['verdict'], $one['shot'], $one['day_id']], $awaited,
        ));
        // Its log comes in: it awaits nothing any more.
        $third?->update(['flown_at' => $now->copy()->subMinutes(5)]);
        self::assertSame([], $this->getJson('/api/v1/logbook')->json('awaited'));
    }

    public function test_a_school_says_which_gates_bind_and_whoever_passes_them_is_named(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $this->putJson('/api/v1/gates', ['binding' => []])->assertForbidden();
        $this->getJson("/api/v1/days/$id")->assertJsonPath('gates.ready', false);
        $trainer = User::factory()->createOne(['school_id' => $user->school_id, 'role' => User::TRAINER]);
        $this->actingAs($trainer)->putJson('/api/v1/gates', ['binding' => ['nonsense']])->assertUnprocessable();
        $this->putJson('/api/v1/gates', ['binding' => ['owner']])->assertOk()->assertExactJson(['owner']);
        $this->getJson("/api/v1/days/$id")->assertJsonPath('gates.ready', false);
        $entry = static fn (string $n, string $kind, string $item, array $payload): array => [
            'uuid' => "5f0c0a52-8c5b-4d0f-a0b0-0000000000$n", 'kind' => $kind, 'item' => $item, 'payload' => $payload, 'device' => 'desk',
            'made_at' => now()->toIso8601ZuluString(),
        ];
        $this->postJson("/api/v1/days/$id/entries", ['entries' => [
            $entry('21', 'tick', 'gate-owner', ['on' => true]), $entry('22', 'decision', 'weather', ['choice' => 'go', 'note' => 'dry']),
        ]])->assertOk()->assertJsonPath('ticks.gate-owner.by', $trainer->name)->assertJsonPath('decisions.weather.choice', 'go');
        $this->getJson("/api/v1/days/$id")->assertJsonPath('gates.ready', true);
        $this->postJson("/api/v1/days/$id/entries", ['entries' => [$entry('23', 'decision', 'weather', [])]])->assertUnprocessable();
    }

    public function test_what_the_camera_is_set_to_goes_along_and_fills_the_bag(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $filters = fn (): string => array_column(
            (array) $this->getJson("/api/v1/days/$id")->assertOk()->json('lists.0.items'), 'text', 'id',
        )['bag-filters'];
        self::assertStringContainsString('1 shot the camera is not set yet', $filters());
        $kept = $this->getJson("/api/v1/shots/$shot->id")->json();
        $shot->refresh()->update(['brief' => [
            ...$kept['brief'],
            'exposure' => ['fps' => 25, 'iso' => 100, 'meter_shutter' => 1600, 'filters' => [8, 32, 64], 'kelvin' => 5600],
        ]]);
        $this->getJson("/api/v1/shots/$shot->id")->assertJsonPath('brief.exposure.meter_shutter', 1600);
        $card = $this->getJson("/api/v1/days/$id")->json('cards.0.exposure');
        self::assertStringContainsString('1/50 s', $card);
        self::assertStringContainsString('ND32, 5600 K, 25 frames a second', $card);
        self::assertStringContainsString('ND32', $filters());
    }

    public function test_a_day_is_its_operator_s_and_the_trainers(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $other = User::factory()->createOne(['school_id' => $user->school_id]);
        foreach (["/api/v1/days/$id", "/api/v1/days/$id/calendar", "/api/v1/days/$id/sheet"] as $path) {
            $this->actingAs($other)->getJson($path)->assertForbidden();
        }
        $this->actingAs($other)->postJson("/api/v1/days/$id/entries", ['entries' => []])->assertForbidden();
        $this->actingAs(User::factory()->createOne())->getJson("/api/v1/days/$id")->assertNotFound();
        $trainer = User::factory()->createOne(['school_id' => $user->school_id, 'role' => User::TRAINER]);
        $this->actingAs($trainer)->postJson(
            '/api/v1/days', [...self::form($shot), 'operator_id' => $other->id],
        )->assertCreated()->assertJsonPath('operator.id', $other->id);
        // A shot of another site can't be flown at this one.
        $elsewhere = ShotFactory::whole($user);
        $this->actingAs($user)->postJson(
            '/api/v1/days',
            [...self::form($shot), 'document' => [...self::form($shot)['document'], 'shots' => [['shot_id' => $elsewhere->id]]]],
        )->assertCreated()->assertJsonPath('document.shots', []);
    }

    public function test_the_calendar_is_read_whole_by_two_readers(): void
    {
        [$user, $shot] = $this->shot();
        $shot->update(['title' => 'Round the stones; in, and out: é “long” '.str_repeat('and on ', 9)]);
        $day = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot));
        $text = (string) $this->get('/api/v1/days/'.$day->json('id').'/calendar')->assertOk()->getContent();
        // RFC 5545: CRLF, no line over 75 octets.
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
            self::assertStringNotContainsString("\n", $line);
        }
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $events = Independent::ask('calendar', $text);
        $slots = $day->json('timetable.slots');
        self::assertCount(count($slots), $events);
        self::assertSame($shot->title, $events[0]['summary']);
        self::assertSame(strtotime($slots[0]['from']), strtotime($events[0]['start']));
        self::assertSame(strtotime($slots[0]['to']), strtotime($events[0]['end']));
        self::assertSame(1, $events[0]['alarms']);
        self::assertEqualsWithDelta($shot->site->sheet()->home->latitude, $events[0]['geo'][0], 1e-6);
        self::assertStringContainsString('Battery 1', $events[0]['description']);
    }

    public function test_what_a_day_leaves_out_is_filled_in_as_core_has_it(): void
    {
        [$user, $shot] = $this->shot();
        $document = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->assertCreated()->json('document');
        self::assertEqualsWithDelta(0.2, $document['batteries']['reserve'], 1e-9);
        self::assertEqualsWithDelta(20.0, $document['batteries']['temperature_c'], 1e-9);
        self::assertEqualsWithDelta(3.0, $document['swap_min'], 1e-9);
        self::assertEqualsWithDelta(15.0, $document['return_margin_m'], 1e-9);
    }

    public function test_a_date_that_is_none_is_refused_whatever_it_is(): void
    {
        [$user, $shot] = $this->shot();
        $this->actingAs($user);
        foreach ([PHP_INT_MAX, 20260603, -1.0e20, true, [], ['2026'], null, '', '2026-02-30', 'tomorrow'] as $date) {
            $this->postJson('/api/v1/days', [...self::form($shot), 'date' => $date])->assertUnprocessable()
                ->assertJsonPath('errors.0.place', 'date');
            $this->getJson('/api/v1/takes?'.http_build_query(['from' => $date ?? 'x']))->assertStatus($date === [] ? 200 : 422);
        }
    }

    public function test_every_number_of_a_day_is_taken_at_its_limits_and_refused_beyond_them(): void
    {
        [$user, $shot] = $this->shot();
        $this->actingAs($user);
        foreach (DayLimits::PLACES as $place => [$least, $most]) {
            $place = str_replace('*', '0', $place);
            $with = static function (int|float $value) use ($shot, $place): array {
                $form = self::form($shot);
                $form['document']['weather'] = ['from_deg' => 200, 'mean_mps' => 3, 'gust_mps' => 4];
                data_set($form, "document.$place", $value);

                return $form;
            };
            foreach ([$least, $most] as $limit) {
                $this->postJson('/api/v1/days', $with($limit))->assertCreated();
            }
            foreach ([$least - 1, $most + 1] as $beyond) {
                $this->postJson('/api/v1/days', $with($beyond))->assertUnprocessable()->assertJsonPath('errors.0.place', "document.$place");
            }
        }
    }

    public function test_card_and_sheet_are_one_and_more_pages_with_their_numbers_on_them(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        foreach (["/api/v1/shots/$shot->id/card" => 1, "/api/v1/days/$id/sheet" => 2] as $path => $most) {
            $pdf = (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();
            self::assertStringStartsWith('%PDF-', $pdf);
            self::assertLessThanOrEqual($most, preg_match_all('#/Type /Page\b#', $pdf));
        }
    }

    public function test_the_calendar_speaks_the_reader_s_units(): void
    {
        [$user, $shot] = $this->shot();
        $id = $this->actingAs($user)->postJson('/api/v1/days', self::form($shot))->json('id');
        $told = fn (): string => str_replace("\r\n ", '', (string) $this->get("/api/v1/days/$id/calendar")->assertOk()->getContent());
        self::assertMatchesRegularExpression('/Battery 1\\\\?, \d pass(es)?\..*return height to \d+ m above take-off/', $told());
        $user->update(['units' => 'feet']);
        self::assertMatchesRegularExpression('/return height to \d+ ft above take-off/', $told());
    }

    public function test_a_shot_and_its_site_come_back_from_one_file(): void
    {
        [$user, $shot] = $this->shot();
        $shot->update(['brief' => ['light' => ['side' => 'back', 'hour' => 'golden'], 'passes' => 3, 'must' => true, 'sound' => 'sea']]);
        $file = $this->actingAs($user)->getJson("/api/v1/shots/$shot->id/files/json")->assertOk()->json();
        $again = $this->postJson('/api/v1/shot-files', ['rig_id' => $shot->rig_id, 'shot' => $file])->assertCreated();
        self::assertSame($shot->site_id, $again->json('site_id'), 'the same site is not made twice');

        $stranger = User::factory()->createOne();
        $rig = Rig::factory()->createOne(['school_id' => $stranger->school_id]);
        $there = $this->actingAs($stranger)->postJson('/api/v1/shot-files', ['rig_id' => $rig->id, 'shot' => $file])->assertCreated();
        $there->assertJsonPath(
            'subject_id', $shot->subjectId(),
        )->assertJsonPath('brief.light.hour', 'golden')->assertJsonPath('title', $shot->title);
        $mine = Planner::plan($shot->planned())->move->flight;
        $theirs = Planner::plan(
            Shot::query()->with(['site', 'rig', 'operator.school'])->whereKey($there->json('id'))->firstOrFail()->planned(),
        )->move->flight;
        self::assertEqualsWithDelta($mine->east, $theirs->east, 0.01);
        self::assertEqualsWithDelta($mine->tilt, $theirs->tilt, 0.001);
        $this->postJson('/api/v1/shot-files', ['rig_id' => $rig->id, 'shot' => ['schema' => 'larkspur/shot/1']])->assertUnprocessable();
        $this->postJson('/api/v1/shot-files', ['rig_id' => $shot->rig_id, 'shot' => $file])->assertNotFound();
    }

    public function test_every_format_is_given(): void
    {
        [$user, $shot] = $this->shot();
        foreach ([
            'geojson' => 'FeatureCollection', 'kml' => 'gx:Tour', 'gpx' => '<trkpt', 'csv' => 't,climb,turn', 'vtt' => 'WEBVTT',
        ] as $format => $words) {
            self::assertStringContainsString(
                $words, (string) $this->actingAs($user)->get("/api/v1/shots/$shot->id/files/$format")->assertOk()->getContent(),
            );
        }
        $this->get("/api/v1/shots/$shot->id/files/doc")->assertNotFound();
        $this->actingAs(User::factory()->createOne([
            'school_id' => $user->school_id,
        ]))->getJson("/api/v1/shots/$shot->id/files/kml")->assertForbidden();
        self::assertSame(0, FlightDay::query()->count());
    }

    /** @return array{User, Shot} */
    private function shot(): array
    {
        $user = User::factory()->createOne();

        return [$user, ShotFactory::whole($user)];
    }

    /** @return array<string, mixed> */
    private static function form(Shot $shot): array
    {
        return [
            'title' => 'A morning', 'date' => '2026-06-03', 'site_id' => $shot->site_id,
            'document' => [
                'from' => '09:00', 'to' => '12:00', 'batteries' => ['count' => 2, 'minutes' => 22], 'weather' => null,
                'shots' => [['shot_id' => $shot->id, 'passes' => 4]], 'permission' => ['airspace' => 'class G, entered by hand'],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function pass(Shot $shot, int $number, string $verdict): array
    {
        return [
            'uuid' => sprintf('5f0c0a52-8c5b-4d0f-a0b0-%012d', 100 + $number), 'kind' => 'pass', 'item' => "shot-$shot->id",
            'payload' => ['number' => $number, 'verdict' => $verdict, 'note' => ''], 'device' => 'tablet',
            'made_at' => '2026-06-03T09:0'.$number.':00Z',
        ];
    }

    /** A plan is kept until something that it rests on changes: each is changed in turn here, and each is seen. */
    public function test_a_plan_is_kept_until_what_it_rests_on_changes(): void
    {
        config(['cache.default' => 'database']);
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $day = FlightDay::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'site_id' => $shot->site_id, 'version' => 1, 'title' => 'A day',
            'date' => '2026-12-01', 'document' => [
                'from' => '09:00', 'to' => '11:00', 'batteries' => ['count' => 2, 'minutes' => 20], 'shots' => [['shot_id' => $shot->id]],
            ],
        ]);
        $plans = static fn (): int => DB::table('cache')->where('key', 'like', '%day-plan.%')->count();
        $read = fn () => $this->actingAs($user->refresh())->getJson("/api/v1/days/$day->id")->assertOk()->json();
        $first = $read();
        self::assertSame(1, $plans());
        self::assertSame($first, $read());
        self::assertSame(1, $plans());

        $changes = [
            'an entry' => static fn () => DayEntry::query()->create([
                'school_id' => $user->school_id, 'flight_day_id' => $day->id, 'author_id' => $user->id, 'uuid' => (string) Str::uuid(),
                'kind' => 'tick', 'item' => 'bag-batteries', 'payload' => ['on' => true], 'device' => 'tablet', 'made_at' => now(),
            ]),
            'hands' => static fn () => $user->update(['stick_mode' => 3]),
            'the shot' => static fn () => $shot->forceFill(['title' => 'Another name', 'updated_at' => now()->addSecond()])->save(),
            'the site' => static fn () => $shot->site->update(['document' => [...$shot->site->document, 'ceiling_m' => 61.0]]),
            'the day' => static fn () => $day->update(['document' => [...$day->document, 'to' => '12:00']]),
            'the school' => static fn () => $user->school
                ->update(['house_style' => [...$user->school->house_style, 'comfort' => ['least' => 0.3, 'most' => 0.6]]]),
        ];
        $n = 1;
        foreach ($changes as $what => $change) {
            $change();
            $read();
            self::assertSame(++$n, $plans(), $what);
        }
        self::assertSame('Another name', $read()['cards'][0]['title']);
    }
}
