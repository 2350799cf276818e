<?php

declare(strict_types=1);

namespace Demo;

use App\Actions\DraftShot;
use App\Actions\FlyShot;
use App\Actions\SaveRig;
use App\Models\Comment;
use App\Models\Craft;
use App\Models\FlightDay;
use App\Models\Rig;
use App\Models\School as SchoolRecord;
use App\Models\Shot;
use App\Models\Site;
use App\Models\Take;
use App\Models\User;
use Illuminate\Support\Carbon;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Slip;
use Larkspur\Site\Light;
use Larkspur\Site\Wind;

/**
 * The invented Skerrow Field School: people, sites, rigs, shots, eight weeks of orbits and twelve weeks of the class (Stories).
 *
 * Every take is flown by a simulated operator from a fixed seed and enters as a log through the same actions as a
 * user's; no score is written by hand. The weeks are counted back from today.
 */
final readonly class School
{
    public const TRAINER = 'ines@skerrow.example';

    public const OPERATOR = 'tobias@skerrow.example';

    public function __construct(
        private DraftShot $draft, private FlyShot $fly, private SaveRig $save, private Practice $practice, private Stories $stories,
    ) {
    }

    /**
     * @param  ?callable(string): void  $tell told what is being made
     * @param  bool  $short without the twelve weeks of the class
     */
    public function load(?callable $tell = null, bool $short = false): SchoolRecord
    {
        $tell ??= static function (string $_): void {
        };
        $school = SchoolRecord::query()->create(['name' => 'Skerrow Field School', 'demo' => true]);
        $person = static fn (string $name, string $email, string $role, array $more = []): User => User::query()->create([
            'school_id' => $school->id, 'name' => $name, 'email' => $email, 'password' => config()
                ->string('larkspur.demo_password'), 'role' => $role, ...$more,
        ]);
        $ines = $person('Ines Calloway', self::TRAINER, User::TRAINER);
        $people = [
            'tobias' => $person('Tobias Renn', self::OPERATOR, User::OPERATOR, ['cohort' => 'Gorse', 'goal_min' => 1]),
            'mairi' => $person('Mairi Oduya', 'mairi@skerrow.example', User::OPERATOR, ['cohort' => 'Gorse']),
            'juno' => $person('Juno Varga', 'juno@skerrow.example', User::OPERATOR, ['stick_mode' => 1, 'cohort' => 'Gorse']),
            'anselm' => $person('Anselm Roy', 'anselm@skerrow.example', User::OPERATOR, ['units' => 'feet', 'cohort' => 'Gorse']),
            'nessa' => $person('Nessa Thole', 'nessa@skerrow.example', User::OPERATOR, ['cohort' => 'Heather']),
            'oran' => $person('Oran Blythe', 'oran@skerrow.example', User::OPERATOR, ['cohort' => 'Heather']),
            'sorrel' => $person('Sorrel Pike', 'sorrel@skerrow.example', User::OPERATOR, ['cohort' => 'Heather']),
            'wick' => $person('Wick Adair', 'wick@skerrow.example', User::OPERATOR, ['cohort' => 'Heather']),
        ];
        foreach (['tobias', 'wick', 'nessa'] as $trained) {
            $people[$trained]->update(['trainer_id' => $ines->id]);
        }
        $sites = [];
        foreach (Sites::all() as $site) {
            $sites[] = Site::query()->create(['school_id' => $school->id, ...$site]);
        }
        $rigs = [];
        foreach (Rigs::all() as $name => $rig) {
            $craft = Craft::query()->create(['school_id' => $school->id, 'name' => $rig['craft'], 'document' => Rigs::crafts()[$name]]);
            $focal = $craft->sheet()->camera->focals[0];
            $rigs[$name] = Rig::query()->create([
                'school_id' => $school->id, 'craft_id' => $craft->id, 'author_id' => $ines->id, 'craft' => $rig['craft'],
                'reason' => 'As it left the box',
                'document' => $craft->sheet()->stock->toArray(),
                'camera' => [...$craft->sheet()->camera->lens($focal)->toArray(), 'focal_mm' => $focal],
            ]);
            $rigs[$name]->forceFill(['created_at' => Carbon::now()->subDays(60)])->save();
        }
        $shots = [];
        foreach ($this->shots() as $key => [$who, $site, $subject, $rig, $mode, $title, $parameters]) {
            $shots[$key] = $this->shot($people[$who], $sites[$site], $rigs[$rig], $subject, $mode, $title, $parameters);
        }
        $this->day($ines, $people['tobias'], $sites[0], $rigs['lapwing'], [$shots['tobias-right'], $shots['tobias-left']]);
        $tell('School, people, sites, rigs and '.count($shots).' shots are there; flying eight weeks of takes.');
        $changes = $this->changes();
        foreach ($this->flights() as $i => [$daysAgo, $shot, $habits, $wind]) {
            while ($changes !== [] && $changes[0][0] > $daysAgo) {
                [$day, $who, $of, $reason, $settings, $by] = array_shift($changes);
                $this->change(
                    $people[$who], $rigs[$of], $settings, $reason, $by === 'ines' ? $ines : $people[$by], Carbon::now()->subDays($day),
                );
            }
            // Shots are flown with whatever version their operator flies that day.
            $shots[$shot]->refresh()->load(['site', 'rig', 'operator.school']);
            $flownAt = Carbon::now()->startOfHour()->subDays($daysAgo)->setTime(9 + ($i * 5) % 8, ($i * 17) % 60);
            ($this->fly)($shots[$shot], $habits, 'demo', $wind, 4100 + $i, $shots[$shot]->operator, $flownAt);
        }
        $this->practise($people['tobias'], $shots['tobias-right'], $shots['tobias-left']);
        $this->comment($ines, $people['tobias'], 1, 6.0, 'The slide leads well here. Now let the turn come in as softly.');
        $this->comment($ines, $people['tobias'], 4, 14.0, 'Look at the height: your left thumb rises when it turns.');
        $this->comment($ines, $people['anselm'], 1, 11.5, 'There it is, the jump. Which finger was it?');
        if (! $short) {
            $tell('Orbits and practice are flown; now the course of the class.');
            $this->stories->tell($people, $sites, $rigs, $ines);
        }
        $tell(Take::query()->where('school_id', $school->id)->count().' takes are in the logbook.');

        return $school;
    }

    /**
     * Practice of every kind: with a controller and help, on a touch screen, by keys in gusts, broken off; a drill, a dry rehearsal, and a
     * few rounds of spot it. The fingers are those of simulated hands.
     */
    private function practise(User $who, Shot $shot, Shot $other): void
    {
        $gusts = ['wind' => ['from_deg' => 250, 'mean_mps' => 4, 'gust_mps' => 6.5]];
        foreach ([
            [11, $shot, 'gamepad', ['ghost' => true, 'ghost-fingers' => true], 'beginner', [], false],
            [10, $shot, 'gamepad', ['cue-voice' => true], 'intermediate', [], false],
            [9, $other, 'touch', [], 'beginner', [], false],
            [6, $shot, 'keyboard', ['slow-75' => true], 'intermediate', $gusts, false],
            [3, $other, 'gamepad', [], 'advanced', $gusts, true],
        ] as $k => [$daysAgo, $of, $device, $aids, $level, $conditions, $brokenOff]) {
            $this->practice->flight(
                $who, $of->refresh()->load(
                    ['site', 'rig', 'operator.school'],
                ), OperatorHabits::named($level, 20 + $k), $conditions, $device, $aids,
                $brokenOff, 600 + $k, Carbon::now()->startOfHour()->subDays($daysAgo)->setTime(18, 5 + 7 * $k),
            );
        }
        $this->practice->rehearsal($who, $shot, OperatorHabits::named('beginner', 31), 611, Carbon::now()->subDays(12));
        $this->practice->spottings($who, $shot);
    }

    /** @return array<string, array{string, int, string, string, string, string, array<string, float|string>}> */
    private function shots(): array
    {
        return [
            'tobias-right' => [
                'tobias', 0, 'stones', 'lapwing', 'standard', 'Seven stones, clockwise',
                [
                    'radius_m' => 21.5, 'height_m' => 8, 'arc_deg' => 145, 'pace_mps' => 2.4, 'direction' => 'clockwise',
                    'start_bearing_deg' => 205,
                ],
            ],
            'tobias-left' => [
                'tobias', 0, 'stones', 'lapwing', 'standard', 'Seven stones, the other way',
                [
                    'radius_m' => 21.5, 'height_m' => 8, 'arc_deg' => 145, 'pace_mps' => 2.4, 'direction' => 'counterclockwise',
                    'start_bearing_deg' => 350,
                ],
            ],
            'mairi-arch' => [
                'mairi', 3, 'arch', 'curlew', 'standard', 'Round the sea arch',
                [
                    'radius_m' => 46, 'height_m' => 31, 'arc_deg' => 110, 'pace_mps' => 3.4, 'direction' => 'clockwise',
                    'start_bearing_deg' => 160,
                ],
            ],
            'mairi-mill' => [
                'mairi', 2, 'mill', 'curlew', 'slow', 'Tide mill at slack water',
                [
                    'radius_m' => 33, 'height_m' => 13, 'arc_deg' => 95, 'pace_mps' => 1.9, 'direction' => 'counterclockwise',
                    'start_bearing_deg' => 120,
                ],
            ],
            'mairi-wren' => [
                'mairi', 1, 'kiln', 'wren', 'standard', 'Close round the kiln, ducted',
                [
                    'radius_m' => 8.5, 'height_m' => 3.5, 'arc_deg' => 130, 'pace_mps' => 1.1, 'direction' => 'clockwise',
                    'start_bearing_deg' => 140,
                ],
            ],
            'juno-kiln' => [
                'juno', 1, 'kiln', 'lapwing', 'standard', 'Half round the kiln',
                [
                    'radius_m' => 17, 'height_m' => 9.5, 'arc_deg' => 165, 'pace_mps' => 1.9, 'direction' => 'counterclockwise',
                    'start_bearing_deg' => 290,
                ],
            ],
            'juno-stones' => [
                'juno', 0, 'stones', 'lapwing', 'slow', 'Stones, close and slow',
                [
                    'radius_m' => 15.5, 'height_m' => 6, 'arc_deg' => 120, 'pace_mps' => 1.3, 'direction' => 'clockwise',
                    'start_bearing_deg' => 230,
                ],
            ],
            'anselm-mill' => [
                'anselm', 2, 'mill', 'lapwing', 'fast', 'Mill, wide and quick',
                [
                    'radius_m' => 39, 'height_m' => 17, 'arc_deg' => 120, 'pace_mps' => 4.1, 'direction' => 'clockwise',
                    'start_bearing_deg' => 100,
                ],
            ],
            'anselm-kiln' => [
                'anselm', 1, 'kiln', 'lapwing', 'standard', 'Kiln from the water',
                [
                    'radius_m' => 19, 'height_m' => 10, 'arc_deg' => 130, 'pace_mps' => 2.2, 'direction' => 'counterclockwise',
                    'start_bearing_deg' => 240,
                ],
            ],
        ];
    }

    /**
     * Who set a craft up otherwise, when and why, oldest first.
     *
     * @return list<array{int, string, string, string, array<string, mixed>, string}> days ago, whose, craft, reason, what of the
     *     settings, by whom
     */
    private function changes(): array
    {
        $hands = static fn (int $mode, string $grip, float $length): array => ['hands' => [
            'stick_mode' => $mode, 'wheel_up' => 'push', 'grip' => $grip, 'stick_mm' => $length,
        ]];

        return [
            [57, 'tobias', 'lapwing', 'My own sticks, longer', $hands(2, 'thumbs', 23.5), 'tobias'],
            [56, 'anselm', 'lapwing', 'Thumbs on top, short sticks', $hands(2, 'thumbs', 19.0), 'anselm'],
            [
                29, 'tobias', 'lapwing', 'The turn ran away at a touch',
                ['modes' => ['standard' => ['turn_dps' => 43.0, 'curves' => ['turn' => ['kind' => 'half-stick', 'value' => 0.36]]]]],
                'ines',
            ],
            [
                16, 'anselm', 'lapwing', 'Softer stops for the wheel',
                ['modes' => ['standard' => ['gimbal' => ['top_rate_dps' => 19.0, 'cushion_s' => 0.85]]]], 'ines',
            ],
            [
                9, 'tobias', 'lapwing', 'Slow mode for the workshop: a quick wheel',
                ['modes' => ['slow' => ['gimbal' => ['top_rate_dps' => 24.0, 'cushion_s' => 0.45]]], ...$hands(2, 'pinch', 23.5)], 'tobias',
            ],
        ];
    }

    /** @param  array<string, mixed>  $settings */
    private function change(User $operator, Rig $school, array $settings, string $reason, User $author, Carbon $at): void
    {
        $base = Rig::of($school->craft_id, $operator->id)->first() ?? $school;
        ($this->save)($operator, $base, array_replace_recursive($base->sheet()->settings(), $settings), null, $reason, $author, $at);
    }

    /**
     * Who flew what, when, how well and in which wind, oldest first.
     *
     * @return list<array{int, string, OperatorHabits, Wind}>
     */
    private function flights(): array
    {
        $flights = [];
        $winds = [Wind::still(), new Wind(4.4, 2.6, 4.1), new Wind(3.9, 4.3, 6.6), new Wind(5.1, 1.4, 2.3)];
        // Tobias flies in a hurry, then learns to hold but still lets go too fast; what is left at the end is an uneven hold.
        foreach ([54, 52, 47, 45, 40, 38, 33, 31] as $i => $day) {
            $flights[] = [
                $day, $i % 2 === 0 ? 'tobias-right' : 'tobias-left', OperatorHabits::named('hurried')->scaled(1.15 - 0.05 * $i),
                $winds[$i % 4],
            ];
        }
        foreach ([26, 24, 19, 17, 12, 10] as $i => $day) {
            $flights[] = [
                $day, $i % 2 === 0 ? 'tobias-right' : 'tobias-left',
                OperatorHabits::named('steady')->scaled(1.6 - 0.1 * $i)->with(0.22 + 0.02 * $i, 0.08 + 0.02 * $i, []), $winds[$i % 4],
            ];
        }
        foreach ([5, 3, 1] as $i => $day) {
            $flights[] = [
                $day, $i % 2 === 0 ? 'tobias-right' : 'tobias-left', OperatorHabits::named('hurried')->scaled(0.75)->with(1.0, 1.0, []),
                $winds[$i],
            ];
        }
        // Mairi lets things drift, and learns to see it sooner.
        foreach ([55, 50, 48, 43, 41, 36, 34, 29, 27, 22, 20, 15, 13, 6] as $i => $day) {
            $flights[] = [
                $day, $i % 3 === 2 ? 'mairi-mill' : 'mairi-arch', OperatorHabits::named('drifter')->scaled(1.2 - 0.07 * $i),
                $winds[($i + 1) % 4],
            ];
        }
        // In the small ducted craft she made her speed with the throttle, then with the lean.
        $flights[] = [
            8, 'mairi-wren', OperatorHabits::named('steady')->slipping(new Slip('bounce', Finger::Climb, 3.0, 0.34, 14.0)), $winds[0],
        ];
        $flights[] = [7, 'mairi-wren', OperatorHabits::named('steady'), $winds[0]];
        // Juno is steady and grows steadier.
        foreach ([53, 49, 44, 39, 37, 32, 30, 25, 23, 18, 16, 11, 9, 4, 2] as $i => $day) {
            $flights[] = [
                $day, $i % 2 === 0 ? 'juno-kiln' : 'juno-stones', OperatorHabits::named('steady')->scaled(2.6 - 0.12 * $i),
                $winds[($i + 2) % 4],
            ];
        }
        // Anselm lets the springs do it.
        foreach ([51, 46, 42, 35, 28, 21, 20, 14, 13, 8, 7, 6, 5, 2] as $i => $day) {
            $flights[] = [
                $day, $i % 2 === 0 ? 'anselm-mill' : 'anselm-kiln', OperatorHabits::named('flicker')->scaled(1.25 - 0.045 * $i),
                $winds[($i + 3) % 4],
            ];
        }
        usort($flights, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $flights;
    }

    /** @param  array<string, float|string>  $parameters */
    private function shot(User $operator, Site $site, Rig $rig, string $subject, string $mode, string $title, array $parameters): Shot
    {
        $drafted = ($this->draft)(
            $site, $rig, $operator->load('school'),
            ['mode' => $mode, 'move' => 'orbit', 'subject_id' => $subject, 'parameters' => $parameters],
        );
        $intent = Planner::plan($drafted['shot'])->move->intent;
        $shot = Shot::query()->create([
            'school_id' => $operator->school_id, 'operator_id' => $operator->id, 'site_id' => $site->id, 'rig_id' => $rig->id,
            'title' => $title,
            'mode' => $mode, 'move' => 'orbit', 'intent' => [...$drafted['intent'], 'parameters' => $intent->parameters],
            'wind' => Wind::still()->toArray(),
        ]);

        return $shot->load(['site', 'rig', 'operator.school']);
    }

    /**
     * A day at the stones that is worked out and not yet flown.
     *
     * @param  list<Shot>  $flown  shots that Tobias knows already
     */
    private function day(User $trainer, User $operator, Site $site, Rig $rig, array $flown): void
    {
        $brief = static fn (string $side, string $hour, int $passes, bool $must, string $sound): array => (new Brief(
            light: Light::read(Fields::of(['side' => $side, 'hour' => $hour])), passes: $passes, must: $must, sound: $sound,
        ))->toArray();
        $flown[0]->update(['brief' => $brief('any', 'day', 4, true, 'wind in the grass, a minute of it')]);
        $flown[1]->update(['brief' => $brief('any', 'any', 3, false, '')]);
        $new = [
            [
                'push-in', 'In over the wall, evening',
                ['distance_m' => 62.0, 'length_m' => 38.0, 'height_m' => 6.5, 'pace_mps' => 1.9, 'start_bearing_deg' => 130.0], 'back',
                'golden', 4, true, 'curlew on the moor',
            ],
            [
                'lateral-dolly', 'Past the thorn',
                ['distance_m' => 30.0, 'length_m' => 28.0, 'height_m' => 7.5, 'pace_mps' => 1.7, 'start_bearing_deg' => 15.0], 'side',
                'day', 3, false, 'steps on stone',
            ],
            [
                'rise', 'Up from behind the bothy',
                ['distance_m' => 48.0, 'height_m' => 2.5, 'climb_m' => 15.0, 'climb_mps' => 0.9, 'start_bearing_deg' => 215.0], 'any',
                'any', 3, false, '',
            ],
            [
                'ground-to-horizon', 'Moor to horizon, last light',
                ['distance_m' => 58.0, 'length_m' => 40.0, 'height_m' => 11.0, 'pace_mps' => 2.1, 'start_bearing_deg' => 95.0], 'any',
                'golden', 4, true, 'wind, and nothing else',
            ],
        ];
        $shots = $flown;
        foreach ($new as [$move, $title, $parameters, $side, $hour, $passes, $must, $sound]) {
            $drafted = ($this->draft)(
                $site, $rig, $operator->load('school'),
                ['mode' => 'standard', 'move' => $move, 'subject_id' => 'stones', 'parameters' => $parameters],
            );
            $intent = Planner::plan($drafted['shot'])->move->intent;
            $shot = Shot::query()->create([
                'school_id' => $operator->school_id, 'operator_id' => $operator->id, 'site_id' => $site->id, 'rig_id' => $rig->id,
                'title' => $title, 'mode' => 'standard', 'move' => $move,
                'intent' => [...$drafted['intent'], 'parameters' => $intent->parameters], 'wind' => Wind::still()->toArray(),
                'brief' => $brief($side, $hour, $passes, $must, $sound),
            ]);
            // Worked out weeks ago, and not what is practised now.
            $shot->forceFill(['created_at' => Carbon::now()->subDays(59), 'updated_at' => Carbon::now()->subDays(59)]);
            $shot->timestamps = false;
            $shot->save();
            $shots[] = $shot;
        }
        FlightDay::query()->create([
            'school_id' => $operator->school_id, 'operator_id' => $operator->id, 'site_id' => $site->id, 'title' => 'A day at the stones',
            'purpose' => 'The stones in evening light, both ways round, so that the film can choose.', 'date' => '2027-05-18', 'version' => 1,
            'document' => [
                'from' => '15:30', 'to' => '20:45',
                'batteries' => ['count' => 4, 'minutes' => 23.0, 'reserve' => 0.22, 'temperature_c' => 9.0], 'swap_min' => 3.5,
                'return_margin_m' => 15.0,
                'weather' => ['from_deg' => 245.0, 'mean_mps' => 3.2, 'gust_mps' => 4.9, 'source' => 'typed in', 'simulated' => false],
                'shots' => array_map(static fn (Shot $shot): array => ['shot_id' => $shot->id], $shots), 'filters' => [8, 32, 64],
                'kelvins' => [5600, 4800],
                'permission' => [
                    'airspace' => '', 'authority' => '', 'owner' => $trainer->name.' asks the Skerrow grazing committee',
                    'rule_source' => '', 'rule_date' => '',
                ],
            ],
        ]);
    }

    /** @param  int  $back how many takes before the operator's latest */
    private function comment(User $author, User $operator, int $back, float $at, string $text): void
    {
        $take = Take::query()->where('operator_id', $operator->id)->orderByDesc('flown_at')->skip($back)->first();
        if ($take !== null) {
            Comment::query()->create([
                'school_id' => $operator->school_id, 'take_id' => $take->id, 'author_id' => $author->id, 'at_s' => $at, 'text' => $text,
            ]);
        }
    }
}
