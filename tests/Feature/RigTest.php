<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\Craft;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Demo\Rigs;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\StepFlight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Statistics;
use Larkspur\Rig\Rig as RigSheet;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\Shots;

/** Rigs as people of a school work on them. */
final class RigTest extends FeatureCase
{
    private User $operator;

    private User $trainer;

    private Shot $shot;

    protected function setUp(): void
    {
        parent::setUp();
        $this->operator = User::factory()->createOne();
        $this->trainer = User::factory()->createOne(['school_id' => $this->operator->school_id, 'role' => User::TRAINER]);
        $this->shot = ShotFactory::whole($this->operator);
    }

    public function test_a_change_is_a_version_of_ones_own_and_the_schools_stays(): void
    {
        $saved = $this->save($this->operator, ['turn_dps' => 41.0])->assertCreated();

        $saved->assertJsonPath('version', 1)->assertJsonPath('operator', $this->operator->name)->assertJsonPath(
            'settings.modes.standard.turn_dps', 41,
        );
        self::assertEqualsWithDelta(58.0, $this->shot->rig->refresh()->document['modes']['standard']['turn_dps'], 1e-9);
        self::assertSame($saved->json('id'), $this->shot->refresh()->rig_id, 'from now on the shot is flown with it');
        $this->actingAs($this->operator)->getJson('/api/v1/rigs')->assertJsonPath('0.id', $saved->json('id'))->assertJsonCount(2);
    }

    public function test_takes_keep_the_version_that_they_were_flown_with(): void
    {
        $fly = fn () => $this->app?->make(FlyShot::class)(
            $this->shot->refresh()->load(['site', 'rig', 'operator.school']), OperatorHabits::named('steady'), 'steady', Wind::still(),
            Take::query()->count() + 1, $this->operator,
        );
        $fly();
        $old = $this->shot->rig_id;
        $new = (int) $this->save($this->operator, ['turn_dps' => 30.0])->json('id');
        $fly();

        self::assertSame([$old, $new], Take::query()->orderBy('id')->pluck('rig_id')->all());
        // The older take is still replayed with its own settings: its turn finger went less far out.
        $farthest = [];
        foreach (Take::query()->pluck('id')->sort() as $id) {
            $travel = $this->actingAs($this->operator)->getJson("/api/v1/takes/$id/replay")->json('planned.fingers.turn');
            $farthest[] = Statistics::greatest(array_map(static fn (mixed $x): float => abs((float) $x), array_values($travel)));
        }
        self::assertGreaterThan(0.1, $farthest[0]);
        self::assertLessThan($farthest[1], $farthest[0]);
        self::assertNotNull(Take::query()->firstOrFail()->tremble);
    }

    public function test_the_second_saver_is_shown_both_and_nothing_is_lost(): void
    {
        $first = $this->save($this->operator, ['turn_dps' => 41.0, 'slide_mps' => 6.0]);
        $base = (int) $first->json('id');
        $this->save($this->trainer, ['turn_dps' => 35.0, 'run_mps' => 7.0], $base, $this->operator)->assertCreated();
        $refused = $this->save($this->operator, ['turn_dps' => 44.0, 'climb_mps' => 3.0], $base);

        $refused->assertConflict()->assertHeader(
            'Content-Type', 'application/problem+json',
        )->assertJsonPath('latest.version', 2)->assertJsonPath(
            'difference.both', ['modes.standard.turn_dps'],
        );
        self::assertStringContainsString($this->trainer->name, $refused->json('detail'));
        self::assertEqualsCanonicalizing(['top turn', 'top climb'], array_column($refused->json('difference.mine'), 'name'));
        self::assertEqualsCanonicalizing(['top turn', 'top speed ahead'], array_column($refused->json('difference.theirs'), 'name'));
        self::assertSame(2, Rig::of($this->shot->rig->craft_id, $this->operator->id)->count());
        // Having looked, the second saver puts theirs on top of what was saved.
        $this->save(
            $this->operator, ['turn_dps' => 44.0, 'climb_mps' => 3.0], (int) $refused->json('latest.id'),
        )->assertCreated()->assertJsonPath('version', 3);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badSettings(): iterable
    {
        yield 'a limit of nothing' => [['turn_dps' => 0], 'modes.standard.turn_dps'];
        yield 'more than the craft gives' => [['run_mps' => 30], 'modes.standard.run_mps'];
        yield 'a curve that falls' => [
            ['curves' => ['turn' => ['kind' => 'soft-expo', 'value' => -0.9]]], 'modes.standard.curves.turn.value',
        ];
        yield 'points that fall' => [
            ['curves' => ['turn' => ['kind' => 'drawn', 'points' => [[0, 0], [0.4, 0.6], [0.7, 0.5], [1, 1]]]]],
            'modes.standard.curves.turn.points.2',
        ];
        yield 'a cushion out of range' => [['gimbal' => ['cushion_s' => 40]], 'modes.standard.gimbal.cushion_s'];
        yield 'an answer quicker than the craft' => [['lag_s' => ['travel' => 0.01]], 'modes.standard.lag_s.travel'];
        yield 'text for a number' => [['turn_dps' => 'quick'], 'modes.standard.turn_dps'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badSettings')]
    public function test_bad_settings_are_refused_at_their_place_and_keep_nothing(array $change, string $place): void
    {
        $this->save($this->operator, $change)->assertUnprocessable()->assertJsonPath('errors.0.place', $place);
        self::assertSame(1, Rig::query()->count());
    }

    public function test_saving_what_is_saved_is_no_version(): void
    {
        $id = (int) $this->save($this->operator, ['turn_dps' => 41.0])->json('id');
        $this->save($this->operator, ['turn_dps' => 41.0], $id)->assertUnprocessable();
    }

    public function test_stick_mode_and_wheel_go_with_the_operator(): void
    {
        $settings = $this->settings();
        $settings['hands'] = ['stick_mode' => 4, 'wheel_up' => 'pull', 'grip' => 'one-finger', 'stick_mm' => 30];
        $this->actingAs($this->operator)->postJson(
            "/api/v1/rigs/{$this->shot->rig_id}/versions",
            ['settings' => $settings, 'reason' => 'cold', 'operator_id' => $this->operator->id],
        )->assertCreated();

        self::assertSame([4, 'pull'], [$this->operator->refresh()->stick_mode, $this->operator->wheel_up]);
        $this->actingAs($this->operator)->getJson('/api/v1/rigs')->assertOk();
    }

    public function test_nobody_changes_the_rig_of_another_but_trainers(): void
    {
        $other = User::factory()->createOne(['school_id' => $this->operator->school_id]);
        $own = (int) $this->save($this->operator, ['turn_dps' => 41.0])->json('id');

        $this->save($other, ['turn_dps' => 42.0], $own, $this->operator)->assertForbidden();
        $this->save($other, ['turn_dps' => 42.0], $this->shot->rig->id, null, true)->assertForbidden();
        $this->actingAs($other)->getJson("/api/v1/rigs/$own")->assertForbidden();
        $this->save($this->trainer, ['turn_dps' => 42.0], $own, $this->operator)->assertCreated();
        $this->save(
            $this->trainer, ['turn_dps' => 42.0], Rig::of($this->shot->rig->craft_id, null)->firstOrFail()->id, null, true,
        )->assertCreated();
    }

    public function test_a_dragged_curve_passes_through_the_point_and_is_not_kept(): void
    {
        $reading = $this->actingAs($this->operator)->postJson(
            "/api/v1/rigs/{$this->shot->rig_id}/reading",
            ['mode' => 'standard', 'drag' => ['finger' => 'turn', 'travel' => 0.5, 'output' => 0.4]],
        )->assertOk();

        $reading->assertJsonCount(1, 'fingers')->assertJsonPath(
            'fingers.0.curve', ['kind' => 'half-stick', 'value' => 0.4],
        )->assertJsonPath('changes.0.name', 'curve of turn');
        self::assertEqualsWithDelta(58 * 0.4, $reading->json('fingers.0.half_stick'), 0.01);
        self::assertSame(1, Rig::query()->count());
    }

    public function test_a_cushion_is_asked_for_in_seconds_whatever_the_axis_stores(): void
    {
        $ask = fn (string $finger, float $seconds): TestResponse => $this->actingAs($this->operator)->postJson(
            "/api/v1/rigs/{$this->shot->rig_id}/reading", ['mode' => 'standard', 'cushion' => ['finger' => $finger, 'seconds' => $seconds]],
        );
        $ask('turn', 0.9)->assertOk()->assertJsonPath('fingers.1.cushion_s', 0.9)->assertJsonPath(
            'settings.modes.standard.lag_s.turn', 0.3,
        );
        $ask('tilt', 0.9)->assertOk()->assertJsonPath('fingers.4.cushion_s', 0.9)->assertJsonPath(
            'settings.modes.standard.gimbal.cushion_s', 0.9,
        );
        $ask('tilt', 25)->assertUnprocessable()->assertJsonPath('errors.0.place', 'cushion.seconds');
        $ask('turn', 0.1)->assertUnprocessable()->assertJsonPath('errors.0.place', 'modes.standard.lag_s.turn');
    }

    public function test_advice_is_given_for_planned_shots_in_the_house_that_is_followed(): void
    {
        $ask = fn (): TestResponse => $this->actingAs($this->operator->refresh())->postJson(
            "/api/v1/rigs/{$this->shot->rig_id}/advice", ['mode' => 'standard', 'shots' => [$this->shot->id]],
        );
        $ask()->assertOk()->assertJsonPath('house', 'middle');
        $this->actingAs($this->trainer)->putJson('/api/v1/house', ['house' => 'limit-the-machine'])->assertOk();
        $limited = $ask()->assertJsonPath('house', 'limit-the-machine')->json('fingers.1.advised.top');
        $this->actingAs($this->trainer)->putJson(
            "/api/v1/operators/{$this->operator->id}/house", ['house' => 'trust-the-fingers'],
        )->assertJsonPath('followed', 'trust-the-fingers');
        $trusted = $ask()->assertJsonPath('house', 'trust-the-fingers')->json('fingers.1.advised.top');
        self::assertLessThan($trusted, $limited);
        $this->actingAs($this->trainer)->putJson(
            "/api/v1/operators/{$this->operator->id}/house", ['house' => null],
        )->assertJsonPath('followed', 'limit-the-machine');
        $this->actingAs($this->operator)->putJson('/api/v1/house', ['house' => 'middle'])->assertForbidden();
        // What is advised can be saved as it is.
        $settings = $ask()->json('settings');
        $this->postJson(
            "/api/v1/rigs/{$this->shot->rig_id}/versions",
            ['settings' => $settings, 'reason' => 'as advised', 'operator_id' => $this->operator->id],
        )->assertCreated();
    }

    public function test_history_says_what_changed_and_when_takes_are_too_few_to_tell(): void
    {
        $this->save($this->operator, ['turn_dps' => 41.0]);
        $second = (int) $this->save($this->operator, ['turn_dps' => 38.0], $this->shot->refresh()->rig_id)->json('id');
        $history = $this->actingAs($this->operator)->getJson("/api/v1/rigs/$second/history")->assertOk();

        $history->assertJsonPath('0.version', 2)->assertJsonPath(
            '0.author', $this->operator->name,
        )->assertJsonPath('0.changes.0.name', 'top turn')->assertJsonPath('0.changes.0.from', 41)->assertJsonPath('0.changes.0.to', 38);
        self::assertStringContainsString('Too few', $history->json('0.since.words'));
        self::assertNull($history->json('1.since'));
        // Going back is a new version with the older settings: the history stays whole.
        $older = $this->getJson('/api/v1/rigs/'.$history->json('1.id'))->json('settings');
        $this->postJson(
            "/api/v1/rigs/$second/versions", ['settings' => $older, 'reason' => 'Back to version 1', 'operator_id' => $this->operator->id],
        )->assertCreated()->assertJsonPath('version', 3)->assertJsonPath('settings.modes.standard.turn_dps', 41);
    }

    public function test_the_gimbal_s_switches_are_a_version_s_own_and_go_back_with_it(): void
    {
        $first = $this->save($this->operator, ['turn_dps' => 41.0])->assertCreated();
        self::assertArrayNotHasKey('gimbal', $first->json('settings'));
        $settings = $first->json('settings');
        $settings['gimbal'] = ['upward' => false, 'free' => false, 'level_offset_deg' => 0.7];
        $settings['modes']['standard']['obstacles'] = 'round';
        $keep = fn (int $rig, array $settings): TestResponse => $this->postJson(
            "/api/v1/rigs/$rig/versions", ['settings' => $settings, 'reason' => 'as found', 'operator_id' => $this->operator->id],
        );
        $second = $keep($first->json('id'), $settings)->assertCreated();
        $second->assertJsonPath('settings.gimbal.level_offset_deg', 0.7)->assertJsonPath('settings.modes.standard.obstacles', 'round');
        $changes = $this->getJson('/api/v1/rigs/'.$second->json('id').'/history')->assertOk()->json('0.changes');
        self::assertEqualsCanonicalizing(
            ['response to obstacles', 'gimbal above the horizon', 'gimbal free to roll', 'horizon off level'],
            array_column($changes, 'name'),
        );
        $bad = $settings;
        $bad['modes']['standard']['obstacles'] = 'jump';
        $keep($second->json('id'), $bad)->assertUnprocessable()->assertJsonPath('errors.0.place', 'modes.standard.obstacles');
        $third = $keep($second->json('id'), $first->json('settings'))->assertCreated();
        self::assertArrayNotHasKey('gimbal', $third->json('settings'));
        self::assertArrayNotHasKey('obstacles', $third->json('settings.modes.standard'));
    }

    public function test_a_step_test_is_fitted_and_becomes_a_craft(): void
    {
        $craft = $this->shot->rig->load('model')->model;
        $slower = Rigs::all()['lapwing'];
        $slower['modes']['standard'] = [...$slower['modes']['standard'], 'run_mps' => 7.4, 'turn_dps' => 49.0];
        $log = Recorder::fair()->record(
            StepFlight::fly(RigSheet::read(Fields::of($slower)), 'standard', 3), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 3,
        );
        $fitted = $this->actingAs($this->trainer)->post(
            "/api/v1/crafts/$craft->id/step-tests",
            ['mode' => 'standard', 'log' => UploadedFile::fake()->createWithContent('steps.csv', Shots::csv($log))],
            ['Accept' => 'application/json'],
        )->assertOk();

        self::assertEqualsWithDelta(7.4, $fitted->json('document.stock.modes.standard.run_mps'), 0.15);
        self::assertEqualsWithDelta(49.0, $fitted->json('document.stock.modes.standard.turn_dps'), 1.0);
        self::assertGreaterThan(0, $fitted->json('fits.2.lag_s.sd'));
        self::assertSame([], $fitted->json('unlike'), 'a craft that is a little slower may well be this one');
        // The log of a ducted craft twice as quick in the turn: nothing is kept, and it is asked whether it is of this one.
        $other = Recorder::fair()->record(
            StepFlight::fly(RigSheet::read(Fields::of(Rigs::all()['wren'])), 'fast', 3), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 3,
        );
        $strange = $this->post(
            "/api/v1/crafts/$craft->id/step-tests",
            ['mode' => 'standard', 'log' => UploadedFile::fake()->createWithContent('other.csv', Shots::csv($other))],
            ['Accept' => 'application/json'],
        )->assertOk()->json('unlike');
        self::assertStringContainsString('is this log of that craft', implode(' ', $strange));
        self::assertStringContainsString('The turn reaches', implode(' ', $strange));
        $this->putJson(
            "/api/v1/crafts/$craft->id",
            ['document' => $fitted->json('document'), 'version' => 1, 'measured' => ['standard' => $fitted->json('fits')]],
        )->assertOk()->assertJsonPath('version', 2);
        self::assertEqualsWithDelta(
            9.2, $this->shot->rig->refresh()->document['modes']['standard']['run_mps'], 1e-9, 'a rig keeps what it was',
        );
        // And it still opens, is read and advised, though its craft now gives less.
        $id = $this->shot->rig->id;
        $this->getJson("/api/v1/rigs/$id")->assertOk();
        $this->postJson("/api/v1/rigs/$id/reading", ['mode' => 'standard'])->assertOk();
        $this->postJson("/api/v1/rigs/$id/advice", ['mode' => 'standard', 'shots' => [$this->shot->id]])->assertOk();
        $this->postJson("/api/v1/rigs/$id/sheet", ['mode' => 'standard'])->assertOk();
        $this->putJson(
            "/api/v1/crafts/$craft->id", ['document' => $fitted->json('document'), 'version' => 1],
        )->assertConflict()->assertJsonPath('version', 2);

        $this->post(
            "/api/v1/crafts/$craft->id/step-tests",
            [
                'mode' => 'standard',
                'log' => UploadedFile::fake()->createWithContent(
                    'pass.csv',
                    "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg\n".implode(
                        '', array_map(static fn (int $i): string => "$i,57.6,-0.4,9,0,0\n", range(0, 60)),
                    ),
                ),
            ],
            ['Accept' => 'application/json'],
        )
            ->assertUnprocessable()->assertJsonPath('errors.0.place', 'log');
    }

    public function test_an_own_craft_is_entered_with_the_rig_it_leaves_the_box_with(): void
    {
        $document = Rigs::crafts()['curlew'];
        $document['stock']['craft'] = 'Whimbrel 500';
        $this->actingAs($this->operator)->postJson(
            '/api/v1/crafts', ['document' => $document],
        )->assertCreated()->assertJsonPath('name', 'Whimbrel 500');
        self::assertSame('Whimbrel 500', Rig::query()->latest('id')->firstOrFail()->craft);
        self::assertSame($this->operator->id, Rig::query()->latest('id')->firstOrFail()->operator_id, 'Until it is shared it is theirs.');
        $this->postJson(
            '/api/v1/crafts', ['document' => $document],
        )->assertUnprocessable()->assertJsonPath('errors.0.place', 'document.stock.craft');
        $id = Craft::query()->latest('id')->firstOrFail()->id;
        $document['mass_kg'] = 0.61;
        $this->putJson("/api/v1/crafts/$id", ['document' => $document, 'version' => 1])->assertOk()->assertJsonPath('shared', false);
        $names = fn (User $user): array => $this->actingAs($user)->getJson('/api/v1/crafts')->json('*.name');
        $other = User::factory()->createOne(['school_id' => $this->operator->school_id]);
        self::assertContains('Whimbrel 500', $names($this->operator));
        self::assertContains('Whimbrel 500', $names($this->trainer));
        self::assertNotContains('Whimbrel 500', $names($other));
        $this->actingAs($other)->deleteJson("/api/v1/crafts/$id")->assertForbidden();
        $this->postJson("/api/v1/crafts/$id/sharing")->assertForbidden();
        $this->actingAs($this->trainer)->postJson("/api/v1/crafts/$id/sharing")->assertOk()->assertJsonPath('shared', true);
        self::assertContains('Whimbrel 500', $names($other));
        self::assertContains('Whimbrel 500', $this->actingAs($other)->getJson('/api/v1/rigs')->json('*.craft'), 'With a rig.');
        // From now on all rigs may rest on it: trainers correct it, and whoever entered it no more.
        $this->actingAs($this->operator)->putJson("/api/v1/crafts/$id", ['document' => $document, 'version' => 2])->assertForbidden();
        $used = Rig::query()->findOrFail($this->shot->rig_id)->craft_id;
        $this->actingAs($this->trainer)->deleteJson("/api/v1/crafts/$used")->assertUnprocessable()
            ->assertJsonPath('errors.0.place', 'craft');
        $this->deleteJson("/api/v1/crafts/$id")->assertNoContent();
        self::assertSame(0, Rig::query()->withoutGlobalScope('school')->where('craft_id', $id)->count());
        $this->actingAs($this->operator);
        $document['mass_kg'] = -2;
        $this->postJson(
            '/api/v1/crafts', ['document' => $document],
        )->assertUnprocessable()->assertJsonPath('errors.0.place', 'document.mass_kg');
    }

    public function test_a_rig_file_goes_out_and_comes_in_elsewhere(): void
    {
        $file = $this->actingAs($this->operator)->getJson("/api/v1/rigs/{$this->shot->rig_id}/file")->assertOk()->assertHeader(
            'Content-Disposition', 'attachment; filename="lapwing-250-version-1.rig.json"',
        )->json();
        $elsewhere = User::factory()->createOne();
        $taken = $this->actingAs($elsewhere)->postJson('/api/v1/rig-files', $file)->assertCreated();

        $taken->assertJsonPath('craft', 'Lapwing 250')->assertJsonPath('operator', $elsewhere->name)->assertJsonPath(
            'settings.modes', $file['rig']['modes'],
        );
        $this->postJson(
            '/api/v1/rig-files', [...$file, 'schema' => 'larkspur/rig/2'],
        )->assertUnprocessable()->assertJsonPath('errors.0.place', 'schema');
        $this->postJson('/api/v1/rig-files', $file)->assertUnprocessable()->assertJsonPath('errors.0.place', 'settings');
        $file['rig']['modes']['fast']['turn_dps'] = 70;
        $this->postJson('/api/v1/rig-files', $file)->assertCreated()->assertJsonPath('version', 2);
        // Another machine of the same name has other limits: it says by what, and nothing is kept.
        foreach ([['mass_kg' => 1.4], ['stock' => ['width_m' => 0.9]], ['kind' => 'ducted']] as $facts) {
            $another = array_replace_recursive($file, ['craft' => $facts]);
            $another['rig']['modes']['fast']['turn_dps'] = 71;
            $this->postJson('/api/v1/rig-files', $another)->assertUnprocessable()->assertJsonPath('errors.0.place', 'craft');
        }
        self::assertSame(2, Rig::query()->where('operator_id', $elsewhere->id)->max('version'));
    }

    public function test_the_field_card_is_one_page_of_a5_with_the_numbers_on_it(): void
    {
        $pdf = (string) $this->actingAs($this->operator)->get(
            "/api/v1/rigs/{$this->shot->rig_id}/card",
        )->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();

        self::assertStringStartsWith('%PDF-', $pdf);
        self::assertSame(1, preg_match_all('#/Type /Page\b#', $pdf));
        // A5 is 148 x 210 mm, in points of 1/72 inch (ISO 216).
        self::assertMatchesRegularExpression('#/MediaBox \[0\.000 0\.000 419\.530 595\.280\]#', $pdf);
        $text = self::textOf($pdf);
        foreach (['Lapwing 250', '0.33', '58', 'authority'] as $words) {
            self::assertStringContainsString($words, $text);
        }
    }

    /** What a page shows: its streams inflated, and the two-byte text of their brackets read. */
    private static function textOf(string $pdf): string
    {
        $text = '';
        preg_match_all('#stream\r?\n(.*?)endstream#s', $pdf, $streams);
        foreach ($streams[1] as $stream) {
            $page = @gzuncompress(rtrim($stream, "\r\n"));
            if ($page !== false && preg_match_all('#\[\((.*?)\)\] TJ#s', $page, $pieces) > 0) {
                $text .= implode(
                    ' ',
                    array_map(
                        static fn (string $piece): string => (string) mb_convert_encoding(stripcslashes($piece), 'UTF-8', 'UTF-16BE'),
                        $pieces[1],
                    ),
                ).' ';
            }
        }

        return $text;
    }

    /** @return array<string, mixed> */
    private function settings(?int $rig = null): array
    {
        return $this->actingAs($this->trainer)->getJson('/api/v1/rigs/'.($rig ?? $this->shot->rig_id))->json('settings');
    }

    /**
     * @param  array<string, mixed>  $change  of the standard mode
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function save(User $author, array $change, ?int $base = null, ?User $operator = null, bool $school = false): TestResponse
    {
        $base ??= $this->shot->rig_id;
        $settings = $this->settings($base);
        foreach ($change as $name => $value) {
            $settings['modes']['standard'][$name] = is_array($value)
                ? array_replace($settings['modes']['standard'][$name], $value)
                : $value;
        }

        return $this->actingAs($author)->postJson(
            "/api/v1/rigs/$base/versions",
            ['settings' => $settings, 'reason' => 'tried', 'operator_id' => $school ? null : ($operator ?? $author)->id],
        );
    }

    /** Stick mode and wheel are a person's: said in one place, they hold in the other; an older version tells and brings back its own. */
    public function test_stick_mode_has_one_home(): void
    {
        $user = User::factory()->createOne(['stick_mode' => 2]);
        $shot = ShotFactory::whole($user);
        $settings = $this->actingAs($user)->getJson("/api/v1/rigs/$shot->rig_id")->json('settings');
        $settings['hands'] = ['stick_mode' => 3, 'wheel_up' => 'pull', 'grip' => 'pinch', 'stick_mm' => 24];
        $saved = $this->postJson(
            "/api/v1/rigs/$shot->rig_id/versions", ['settings' => $settings, 'reason' => 'mine', 'operator_id' => $user->id],
        )
            ->assertCreated()->json('id');
        self::assertSame([3, 'pull'], [$user->refresh()->stick_mode, $user->wheel_up]);

        $this->actingAs($user)->patchJson('/api/v1/me', ['stick_mode' => 1])->assertOk();
        $this->getJson("/api/v1/rigs/$saved")->assertJsonPath('settings.hands.stick_mode', 1)
            ->assertJsonPath('settings.hands.grip', 'pinch');
        // Another number is changed from what is shown: the hands stay as they are held.
        $settings = $this->getJson("/api/v1/rigs/$saved")->json('settings');
        $settings['modes']['slow']['turn_dps'] = 17;
        $this->postJson("/api/v1/rigs/$saved/versions", ['settings' => $settings, 'reason' => 'calmer', 'operator_id' => $user->id])
            ->assertCreated();
        self::assertSame(1, $user->refresh()->stick_mode);
        $latest = $this->getJson("/api/v1/rigs/$saved/history")->json('0.id');
        $older = $this->getJson("/api/v1/rigs/$saved")->assertJsonPath('settings.hands.stick_mode', 3)->json('settings');
        $this->postJson("/api/v1/rigs/$latest/versions", ['settings' => $older, 'reason' => 'back', 'operator_id' => $user->id])
            ->assertCreated()->assertJsonPath('settings.hands.stick_mode', 3);
        self::assertSame(3, $user->refresh()->stick_mode);
    }

    public function test_a_version_tells_its_takes_apart_by_grip_and_touch(): void
    {
        $fly = fn () => $this->app?->make(FlyShot::class)(
            $this->shot->refresh()->load(['site', 'rig', 'operator.school']), OperatorHabits::named('steady'), 'steady', Wind::still(),
            Take::query()->count() + 1, $this->operator,
        );
        $fly();
        $fly();
        $fly();
        Take::query()->update(['practised' => false]);
        $id = Take::query()->orderBy('id')->value('id');
        Take::query()->whereKey($id)->update(['hands' => ['grip' => 'pinch', 'touch' => 'feather', 'stick_mode' => 2]]);
        $held = $this->actingAs($this->operator)->getJson('/api/v1/rigs/'.$this->shot->rig_id.'/history')->json('0.held');
        self::assertSame([[2, 'thumbs on top', 'firm, with pressure'], [1, 'pinched between finger and thumb', 'light as a feather']],
            array_map(static fn (array $one): array => [$one['takes'], $one['grip'], $one['touch']], $held));
    }
}
