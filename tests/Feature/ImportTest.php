<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ColumnMapping;
use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Score;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Demo\Rigs;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Larkspur\Choreography\Planner;
use Larkspur\Flight\Recorder;
use Larkspur\Telemetry\FlightLog as Log;
use Larkspur\Telemetry\Formats;
use Larkspur\Training\Lesson;
use Tests\Core\Shots;

/** Logs of other makers: columns confirmed once and remembered, moves named where the log does not tell, other formats. */
final class ImportTest extends FeatureCase
{
    public function test_a_log_with_names_of_its_own_asks_and_is_then_read(): void
    {
        $user = User::factory()->createOne();
        $asked = $this->upload($user, 'other.csv', self::foreign(self::log('orbit')))->assertJsonPath('state', 'columns');
        self::assertContains('Height [ft]', $asked->json('columns.headers'));
        self::assertSame('ft', $asked->json('columns.guess.alt_m.unit'));
        self::assertSame('ms', $asked->json('columns.guess.t.unit'));
        self::assertSame(0, Take::query()->count());
        self::assertCount(1, Storage::files('uploads'));

        $columns = self::guessed($asked);
        $this->actingAs($user)->putJson(
            "/api/v1/imports/{$asked->json('id')}/columns", ['columns' => $columns],
        )->assertStatus(202)->assertJsonPath('state', 'done')->assertJsonCount(1, 'takes');
        self::assertSame('orbit', Take::query()->sole()->move);
        self::assertGreaterThan(90, Take::query()->sole()->score);
        self::assertSame([], Storage::files('uploads'));
    }

    public function test_the_school_remembers_what_was_confirmed_and_another_school_does_not(): void
    {
        $user = User::factory()->createOne();
        $asked = $this->upload($user, 'one.csv', self::foreign(self::log('orbit')));
        $this->confirm($user, $asked);

        $classmate = User::factory()->createOne(['school_id' => $user->school_id]);
        $this->upload($classmate, 'two.csv', self::foreign(self::log('push-in')))->assertJsonPath('state', 'done');
        $this->upload(User::factory()->createOne(), 'three.csv', self::foreign(self::log('pull-away')))->assertJsonPath('state', 'columns');
        self::assertSame(1, ColumnMapping::query()->withoutGlobalScopes()->count());
        // A log that was read by a mapping is replayed by it too.
        $this->actingAs($classmate);
        $take = Take::query()->where('operator_id', $classmate->id)->sole();
        $this->actingAs($classmate)->getJson("/api/v1/takes/{$take->id}/replay")->assertOk();
    }

    public function test_files_that_wait_for_the_same_answer_go_on_together_and_others_wait(): void
    {
        $user = User::factory()->createOne();
        $asked = $this->upload($user, 'one.csv', self::foreign(self::log('orbit')));
        $same = $this->upload($user, 'two.csv', self::foreign(self::log('push-in')));
        $other = $this->upload($user, 'three.csv', str_replace('Gimbal pitch', 'Wheel', self::foreign(self::log('pull-away'))));
        $elsewhere = $this->upload(User::factory()->createOne(), 'four.csv', self::foreign(self::log('orbit')));
        $this->confirm($user, $asked);

        $states = Import::query()->withoutGlobalScopes()->pluck('state', 'id');
        self::assertSame(
            ['done', 'done', 'columns', 'columns'],
            array_map(static fn (TestResponse $one): string => $states[$one->json('id')], [$asked, $same, $other, $elsewhere]),
        );
        self::assertSame(2, Take::query()->where('operator_id', $user->id)->count());
    }

    public function test_a_wrong_answer_is_looked_at_changed_and_forgotten_and_locks_nobody_out(): void
    {
        $user = User::factory()->createOne();
        $bytes = self::foreign(self::log('orbit'));
        $asked = $this->upload($user, 'one.csv', $bytes);
        $this->confirm($user, $asked, ['alt_m' => ['column' => 'Height [ft]', 'unit' => 'm']]);
        $wrong = Take::query()->sole();
        $this->upload($user, 'one.csv', $bytes)->assertJsonPath('state', 'refused');

        $known = $this->actingAs($user)->getJson('/api/v1/column-mappings')->assertOk()->assertJsonCount(1)
            ->assertJsonPath('0.file_name', 'one.csv')->assertJsonPath('0.columns.guess.alt_m.unit', 'm');
        self::assertContains('Remark', $known->json('0.columns.headers'));
        $url = '/api/v1/column-mappings/'.$known->json('0.id');
        $this->putJson($url, ['columns' => []])->assertUnprocessable();
        $right = self::guessed($asked);
        $this->putJson($url, ['columns' => $right])->assertOk()->assertJsonPath('columns.guess.alt_m.unit', 'ft');
        $read = $this->upload($user, 'one.csv', $bytes)->assertJsonPath('state', 'done');
        self::assertStringContainsString('left the logbook', $read->json('notes.0.text'));
        $anew = Take::query()->sole();
        self::assertNotSame($wrong->id, $anew->id);
        self::assertTrue(Take::withTrashed()->whereKey($wrong->id)->exists());
        self::assertSame(1, (int) DB::table('logbook_days')->sum('takes'), 'Counted once.');
        self::assertGreaterThan(90, $anew->score);
        // The same bytes by the same columns are still one log.
        $this->upload($user, 'one.csv', $bytes)->assertJsonPath('state', 'refused');

        $this->actingAs(User::factory()->createOne())->deleteJson($url)->assertNotFound();
        $this->actingAs($user)->deleteJson($url)->assertNoContent();
        $this->upload($user, 'two.csv', self::foreign(self::log('push-in')))->assertJsonPath('state', 'columns');
    }

    public function test_a_trainer_follows_what_they_sent_for_an_operator_and_so_does_the_operator(): void
    {
        $operator = User::factory()->createOne();
        $trainer = User::factory()->trainer()->createOne(['school_id' => $operator->school_id]);
        $shot = ShotFactory::whole($operator);
        $plan = Planner::plan($shot->planned());
        $sent = $this->upload(
            $trainer, 'pass.csv', Shots::csv((new Recorder)->record($plan->move->flight, $plan->shot->site->frame())), $shot->id,
        )->assertJsonPath('state', 'done');
        foreach ([$trainer, $operator] as $user) {
            $this->actingAs($user)->getJson('/api/v1/imports')->assertOk()->assertJsonPath('0.id', $sent->json('id'));
        }
        $this->actingAs(User::factory()->createOne(['school_id' => $operator->school_id]))->getJson('/api/v1/imports')->assertJsonCount(0);
        self::assertSame($operator->id, Take::query()->sole()->operator_id);
    }

    public function test_a_take_is_dated_by_its_log_where_that_had_its_clock_set(): void
    {
        $log = self::log('orbit');
        foreach (['2026-05-03T09:12:00Z' => true, '1980-01-06T00:00:00Z' => false, '2099-01-01T00:00:00Z' => false] as $date => $believed) {
            $user = User::factory()->createOne();
            $dated = new Log($log->columns, epoch: (float) strtotime($date));
            $this->upload($user, 'pass.gpx', implode('', [...Formats::writer('pass.gpx')->write($dated)]))->assertJsonPath('state', 'done');
            $take = Take::query()->where('operator_id', $user->id)->sole();
            $flown = $believed ? strtotime($date) : now()->getTimestamp();
            self::assertEqualsWithDelta($flown, $take->flown_at->getTimestamp(), 60, $date);
        }
    }

    /** A clock on the wall of the site shows what a date without a zone says (ISO 8601: local time). */
    public function test_a_date_without_a_zone_is_the_sites_and_one_with_a_zone_its_own(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $shot->site->update(['document' => [...$shot->site->document, 'zone' => 'Pacific/Auckland']]);
        $log = Recorder::fair()->record(Planner::plan($shot->planned())->move->flight, $shot->planned()->site->frame(), 1);
        $text = static function (string $zone) use ($log): string {
            $lines = ['Date time,Latitude,Longitude,Altitude (m),Heading (deg),Gimbal pitch (deg)'];
            foreach ($log->column('t') as $i => $t) {
                $lines[] = implode(',', [
                    gmdate('Y-m-d H:i:s', (int) (1777800000 + $t)).sprintf('.%03d', (int) round(1000 * fmod($t, 1.0)) % 1000).$zone,
                    $log->column('lat')[$i], $log->column('lon')[$i], $log->column('alt_m')[$i], $log->column('heading_deg')[$i],
                    $log->column('gimbal_tilt_deg')[$i],
                ]);
            }

            return implode("\n", $lines)."\n";
        };
        $flown = function (string $name, string $zone) use ($user, $shot, $text): Take {
            $sent = $this->upload($user, $name, $text($zone), $shot->id);
            if ($sent->json('state') === 'columns') {
                $this->confirm($user, $sent);
            }

            return Take::query()->latest('id')->firstOrFail();
        };
        // 2026-05-03 09:20 shown at the site in May, twelve hours ahead of UTC, is 2026-05-02 21:20 in UTC.
        self::assertSame('2026-05-02 21:20', $flown('local.csv', '')->flown_at->format('Y-m-d H:i'));
        $there = $flown('utc.csv', 'Z');
        self::assertSame('2026-05-03 09:20', $there->flown_at->format('Y-m-d H:i'));
        self::assertSame('Pacific/Auckland', $there->zone);
        $this->getJson("/api/v1/takes/$there->id")->assertJsonPath('zone', 'Pacific/Auckland');
    }

    public function test_columns_that_cannot_be_are_refused_and_the_upload_waits_on(): void
    {
        $user = User::factory()->createOne();
        $asked = $this->upload($user, 'other.csv', self::foreign(self::log('orbit')));
        $url = "/api/v1/imports/{$asked->json('id')}/columns";

        $this->actingAs($user)->putJson(
            $url, ['columns' => ['t' => ['column' => 'Timestamp (ms)', 'unit' => 'ms']]],
        )->assertUnprocessable();
        $this->actingAs($user)->putJson($url, ['columns' => []])->assertUnprocessable();
        $this->actingAs($user)->putJson($url, ['columns' => ['mood' => ['column' => 'x']]])->assertUnprocessable();
        $this->actingAs(User::factory()->createOne([
            'school_id' => $user->school_id,
        ]))->putJson($url, ['columns' => []])->assertUnprocessable();
        self::assertSame(Import::COLUMNS, Import::query()->sole()->state);
        // Nothing was asked of a log with our own header.
        $done = $this->upload($user, 'ours.csv', Shots::csv(self::log('orbit')));
        $columns = self::guessed($asked);
        $this->actingAs($user)->putJson("/api/v1/imports/{$done->json('id')}/columns", ['columns' => $columns])->assertUnprocessable();
    }

    public function test_a_move_that_the_log_does_not_tell_is_named_by_hand(): void
    {
        $user = User::factory()->createOne();
        $import = $this->upload(
            $user, 'pass.csv', Shots::csv(self::log('sink-turn-tilt')),
        )->assertJsonPath('state', 'done')->assertJsonPath('takes', [])->assertJsonPath('unsure.0.number', 1);
        self::assertGreaterThanOrEqual(2, count($import->json('unsure.0.candidates')));
        self::assertNotSame('', $import->json('unsure.0.candidates.0.name'));

        $url = "/api/v1/imports/{$import->json('id')}/takes/1";
        $this->actingAs($user)->putJson($url, ['move' => 'somersault'])->assertUnprocessable();
        $named = $this->actingAs($user)->putJson(
            $url, ['move' => 'sink-to-horizon'],
        )->assertOk()->assertJsonPath('unsure', [])->assertJsonCount(1, 'takes');
        self::assertSame([$named->json('takes.0')], Take::query()->pluck('id')->all());
        self::assertSame('sink-to-horizon', Take::query()->sole()->move);
        self::assertSame(1, Score::query()->count());
        // Once named, it is not named again.
        $this->actingAs($user)->putJson($url, ['move' => 'push-in'])->assertUnprocessable();
        self::assertSame(1, Take::query()->count());
    }

    public function test_only_the_owner_names_and_confirms(): void
    {
        $user = User::factory()->createOne();
        $import = $this->upload($user, 'pass.csv', Shots::csv(self::log('sink-turn-tilt')));
        $this->actingAs(User::factory()->createOne(['school_id' => $user->school_id]))->putJson(
            "/api/v1/imports/{$import->json('id')}/takes/1", ['move' => 'push-in'],
        )->assertForbidden();
        $this->actingAs(User::factory()->createOne())->putJson(
            "/api/v1/imports/{$import->json('id')}/takes/1", ['move' => 'push-in'],
        )->assertNotFound();
        self::assertSame(0, Take::query()->count());
    }

    public function test_other_formats_come_in_by_the_same_door(): void
    {
        $log = self::log('orbit');
        foreach (['gpx', 'kml', 'geojson'] as $ending) {
            $user = User::factory()->createOne();
            $text = '';
            foreach (Formats::writer("pass.$ending")->write($log) as $piece) {
                $text .= $piece;
            }
            $this->upload($user, "pass.$ending", $text)->assertJsonPath('state', 'done')->assertJsonCount(1, 'takes');
            $take = Take::query()->where('operator_id', $user->id)->sole();
            self::assertSame('orbit', $take->move);
            // It lies and is given back as what it is, byte for byte.
            self::assertStringEndsWith(".$ending", $take->log->path());
            $given = $this->actingAs($user)->get("/api/v1/takes/{$take->id}/log")->assertOk()->assertHeader(
                'Content-Type', Formats::mediaType("pass.$ending"),
            );
            self::assertSame($text, $given->streamedContent());
        }
        $user = User::factory()->createOne();
        $this->upload($user, 'evil.gpx', '<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx>&x;</gpx>')
            ->assertJsonPath('state', 'refused');
        self::assertSame(0, FlightLog::query()->where('owner_id', $user->id)->count());
    }

    public function test_a_log_from_elsewhere_asks_how_it_is_meant_and_is_judged_so(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $plan = Planner::plan($shot->planned());
        $log = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
        $swapped = Shots::csv($log->with(['lat' => $log->column('lon'), 'lon' => $log->column('lat')]));
        $asked = $this->upload($user, 'pass.csv', $swapped, $shot->id)->assertJsonPath('state', 'place');
        self::assertSame(['as-written', 'swapped'], array_column($asked->json('readings'), 'id'));
        self::assertSame(0, Take::query()->count());

        $url = "/api/v1/imports/{$asked->json('id')}/reading";
        $classmate = User::factory()->createOne(['school_id' => $user->school_id]);
        $this->actingAs($classmate)->putJson($url, ['reading' => 'swapped'])->assertForbidden();
        $this->actingAs($user)->putJson($url, ['reading' => 'upside down'])->assertUnprocessable();
        $this->actingAs($user)->putJson($url, ['reading' => 'swapped'])->assertStatus(202)->assertJsonPath('state', 'done');
        $take = Take::query()->sole();
        self::assertGreaterThan(90, $take->score);
        self::assertSame('as-planned', $this->getJson("/api/v1/takes/{$take->id}")->assertOk()->json('judgement.plan.verdict'));
        // It is read so whenever it is shown again, and its bytes are given back as they came.
        $replay = $this->getJson("/api/v1/takes/{$take->id}/replay")->assertOk();
        self::assertEqualsWithDelta($plan->move->subject?->first()->up, $replay->json('subject.up_m'), 3.0);
        self::assertSame($swapped, $this->get("/api/v1/takes/{$take->id}/log")->streamedContent());
        $this->actingAs($user)->putJson($url, ['reading' => 'swapped'])->assertUnprocessable();
    }

    public function test_a_judgement_of_an_earlier_method_is_still_read(): void
    {
        $user = User::factory()->createOne();
        $this->upload($user, 'pass.csv', Shots::csv(self::log('orbit')));
        $take = Take::query()->sole();
        $kept = Score::query()->sole();
        $document = array_diff_key($kept->document, array_flip(['judged', 'plan', 'losses', 'finish', 'thirds']));
        $document['faults'] = [[
            'id' => 'kick', 'name' => 'Kick', 'axis' => 'turn', 't_s' => 3.0, 'until_s' => 3.0, 'size' => 1.0, 'unit' => 'deg/s2',
            'severity' => 'slight', 'cost' => 1.0, 'picture' => null, 'try' => 'Slower.',
        ]];
        $kept->update(['method' => 'larkspur/score/1.1', 'document' => $document]);
        $this->actingAs($user)->getJson("/api/v1/takes/{$take->id}")->assertOk()
            ->assertJsonPath('judgement.plan', null)->assertJsonPath('judgement.losses', [])->assertJsonPath('judgement.thirds', null)
            ->assertJsonPath('judgement.faults.0.cause', 'unknown');
    }

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function upload(User $user, string $name, string $text, ?int $shot = null): TestResponse
    {
        $id = $this->actingAs($user)->postJson('/api/v1/imports', [
            'log' => UploadedFile::fake()->createWithContent($name, $text), ...$shot === null ? [] : ['shot_id' => $shot],
        ])->assertStatus(202)->json('id');

        return $this->actingAs($user)->getJson("/api/v1/imports/{$id}")->assertOk();
    }

    public static function log(string $move): Log
    {
        static $logs = [];
        if (! isset($logs[$move])) {
            $plan = Lesson::planned($move, Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
            $logs[$move] = (new Recorder(10.0))->record($plan->move->flight, $plan->shot->site->frame());
        }

        return $logs[$move];
    }

    public function test_logs_of_one_recorder_that_lie_elsewhere_are_asked_about_once(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $plan = Planner::plan($shot->planned());
        $swapped = static function (int $seed) use ($plan): Log {
            $log = Recorder::fair()->record($plan->move->flight, $plan->shot->site->frame(), $seed);

            return $log->with(['lat' => $log->column('lon'), 'lon' => $log->column('lat')]);
        };
        $first = $this->upload($user, 'one.csv', Shots::csv($swapped(1)), $shot->id)->assertJsonPath('state', 'place');
        $second = $this->upload($user, 'two.csv', Shots::csv($swapped(2)), $shot->id)->assertJsonPath('state', 'place');
        $gpx = implode('', [...Formats::writer('three.gpx')->write($swapped(3))]);
        $other = $this->upload($user, 'three.gpx', $gpx, $shot->id)->assertJsonPath('state', 'place');
        $elsewhere = $this->upload($user, 'four.csv', Shots::csv($swapped(4)), ShotFactory::whole($user)->id);
        $this->actingAs($user)->putJson("/api/v1/imports/{$first->json('id')}/reading", ['reading' => 'swapped'])->assertStatus(202);

        $state = fn (TestResponse $one): string => $this->getJson("/api/v1/imports/{$one->json('id')}")->json('state');
        self::assertSame(['done', 'done', 'place', 'place'], array_map($state, [$first, $second, $other, $elsewhere]));
        foreach (Take::query()->get() as $take) {
            self::assertGreaterThan(80, $take->score);
        }
    }

    public function test_a_log_of_another_flight_is_judged_by_the_move_that_it_looks_like(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $log = self::log('orbit');
        $far = static fn (float $more): string => Shots::csv($log->with([
            'lat' => array_map(static fn (float $lat): float => $lat + 0.05, $log->column('lat')),
            't' => array_map(static fn (float $t): float => $t + $more, $log->column('t')),
        ]));
        $asked = $this->upload($user, 'far.csv', $far(0.0), $shot->id)->assertJsonPath('state', 'place');
        $same = $this->upload($user, 'too.csv', $far(9.0), $shot->id)->assertJsonPath('maker', $asked->json('maker'));
        $this->actingAs($user)->putJson("/api/v1/imports/{$asked->json('id')}/reading", ['reading' => 'without-plan'])->assertStatus(202);

        foreach ([$asked, $same] as $one) {
            $this->getJson("/api/v1/imports/{$one->json('id')}")->assertJsonPath('state', 'done')->assertJsonPath('shot_id', null);
        }
        self::assertSame(['orbit', 'orbit'], Take::query()->pluck('move')->all());
        self::assertSame([null, null], Take::query()->pluck('shot_id')->all());
        $this->getJson('/api/v1/remembered-readings')->assertJsonCount(0);
    }

    public function test_what_was_said_of_a_makers_places_is_remembered_until_it_is_forgotten(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $plan = Planner::plan($shot->planned());
        $swapped = static function (int $seed) use ($plan): string {
            $log = Recorder::fair()->record($plan->move->flight, $plan->shot->site->frame(), $seed);

            return Shots::csv($log->with(['lat' => $log->column('lon'), 'lon' => $log->column('lat')]));
        };
        $first = $this->upload($user, 'one.csv', $swapped(1), $shot->id)->assertJsonPath('state', 'place');
        $this->actingAs($user)->putJson("/api/v1/imports/{$first->json('id')}/reading", ['reading' => 'swapped'])->assertStatus(202);
        $later = $this->upload($user, 'later.csv', $swapped(2), ShotFactory::whole($user)->id)->assertJsonPath('state', 'done');
        self::assertStringContainsString('changed places', implode(' ', array_column($later->json('notes'), 'text')));

        // A log that lies where it should is left as it is; another school is asked by itself.
        $right = Recorder::fair()->record($plan->move->flight, $plan->shot->site->frame(), 3);
        $this->upload($user, 'right.csv', Shots::csv($right), $shot->id)->assertJsonPath('state', 'done');
        $other = User::factory()->createOne();
        $this->upload($other, 'theirs.csv', $swapped(4), ShotFactory::whole($other)->id)->assertJsonPath('state', 'place');

        $known = $this->actingAs($user)->getJson('/api/v1/remembered-readings')->assertOk()->assertJsonCount(1);
        $known->assertJsonPath('0.reading', 'swapped')->assertJsonPath('0.file_name', 'one.csv');
        $this->actingAs($other)->deleteJson("/api/v1/remembered-readings/{$known->json('0.id')}")->assertNotFound();
        $this->actingAs($user)->deleteJson("/api/v1/remembered-readings/{$known->json('0.id')}")->assertNoContent();
        $this->upload($user, 'again.csv', $swapped(5), $shot->id)->assertJsonPath('state', 'place');
    }

    /** Five makers write eight files each, in an order of their own; each is answered once, and nothing is lost. */
    public function test_forty_files_of_five_makers_are_asked_about_five_times(): void
    {
        $user = User::factory()->createOne();
        $makers = [
            ['Time (s)', 'Latitude', 'Longitude', 'Altitude (m)', 'Heading (deg)', 'Gimbal pitch (deg)'],
            ['Zeit', 'Breite', 'Länge', 'Höhe', 'Kurs', 'Neigung'],
            ['elapsed', 'lat', 'lng', 'height_ft', 'yaw', 'camera_tilt'],
            ['ts_ms', 'latitude_1e7', 'longitude_1e7', 'alt_mm', 'hdg', 'tilt'],
            ['temps', 'latitude_gps', 'longitude_gps', 'hauteur', 'cap', 'inclinaison'],
        ];
        $scales = [[], [], ['alt_m' => 1 / 0.3048], ['t' => 1e3, 'lat' => 1e7, 'lon' => 1e7, 'alt_m' => 1e3], []];
        $units = [[], [], ['alt_m' => 'ft'], ['t' => 'ms', 'lat' => '1e-7 deg', 'lon' => '1e-7 deg', 'alt_m' => 'mm'], []];
        $names = ['t', 'lat', 'lon', 'alt_m', 'heading_deg', 'gimbal_tilt_deg'];
        $sent = [];
        for ($file = 0; $file < 40; $file++) {
            $maker = $file % 5;
            $log = self::log('orbit');
            $log = $log->with(['t' => array_map(static fn (float $t): float => $t + $file, $log->column('t'))]);
            $lines = [implode(';', $makers[$maker])];
            foreach (array_keys($log->column('t')) as $i) {
                $lines[] = implode(';', array_map(
                    static fn (string $name): string => sprintf('%.9F', $log->column($name)[$i] * ($scales[$maker][$name] ?? 1)), $names,
                ));
            }
            $sent[$maker][] = $this->upload($user, "maker$maker-$file.csv", implode("\n", $lines)."\n")->assertJsonPath('state', 'columns');
        }
        foreach ($makers as $maker => $headers) {
            $instead = [];
            foreach ($names as $k => $name) {
                $unit = $units[$maker][$name] ?? ['t' => 's', 'alt_m' => 'm'][$name] ?? 'deg';
                $instead[$name] = ['column' => $headers[$k], 'unit' => $unit];
            }
            $this->actingAs($user)->putJson(
                "/api/v1/imports/{$sent[$maker][0]->json('id')}/columns", ['columns' => $instead],
            )->assertStatus(202);
        }
        $list = array_column((array) $this->getJson('/api/v1/imports')->json(), null, 'id');
        foreach (array_merge(...$sent) as $one) {
            self::assertSame('done', $list[$one->json('id')]['state'], $one->json('file_name'));
            self::assertCount(1, $list[$one->json('id')]['takes'], $one->json('file_name'));
        }
        self::assertSame(40, Take::query()->where('operator_id', $user->id)->count());
        self::assertSame(['orbit'], Take::query()->where('operator_id', $user->id)->distinct()->pluck('move')->all());
    }

    /**
     * What was guessed, with what is put in its place, is said to be right.
     *
     * @param  TestResponse<\Illuminate\Http\JsonResponse>  $asked
     * @param  array<string, array{column: string, unit: string}>  $instead
     */
    private function confirm(User $user, TestResponse $asked, array $instead = []): void
    {
        $this->actingAs($user)->putJson(
            "/api/v1/imports/{$asked->json('id')}/columns", ['columns' => [...self::guessed($asked), ...$instead]],
        )->assertStatus(202);
    }

    /**
     * @param  TestResponse<\Illuminate\Http\JsonResponse>  $asked
     * @return array<string, array{column: string, unit: string}>
     */
    private static function guessed(TestResponse $asked): array
    {
        return array_map(
            static fn (array $column): array => ['column' => $column['column'], 'unit' => $column['unit']], $asked->json('columns.guess'),
        );
    }

    /** The same log as another maker would write it. */
    private static function foreign(Log $log): string
    {
        $text = "Timestamp (ms);Latitude;Longitude;Height [ft];Yaw (deg);Gimbal pitch (deg);Remark\n";
        foreach ($log->column('t') as $i => $t) {
            $text .= str_replace(
                '.', ',',
                sprintf(
                    "%d;%.8F;%.8F;%.4F;%.3F;%.3F;fine\n", round(1000 * $t), $log->column('lat')[$i], $log->column('lon')[$i],
                    $log->column('alt_m')[$i] / 0.3048, $log->column('heading_deg')[$i], $log->column('gimbal_tilt_deg')[$i],
                ),
            );
        }

        return $text;
    }
}
