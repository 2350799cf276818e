<?php

declare(strict_types=1);

namespace Demo;

use App\Actions\DraftShot;
use App\Actions\FlyShot;
use App\Actions\GiveLesson;
use App\Actions\SayOfStep;
use App\Models\Lesson;
use App\Models\LessonMember;
use App\Models\OwnEntry;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\StepSaying;
use App\Models\User;
use Illuminate\Support\Carbon;
use Larkspur\Choreography\Planner;
use Larkspur\Controls\Finger;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Slip;
use Larkspur\Site\Wind;

/**
 * Twelve weeks of the class over all families of moves and drills, each of the eight with a story of their own: a natural, a slow and
 * steady one, one stuck on the tilt, one who flies one way round, one back from a break, a cold-handed one, a ducted flyer, one who leans
 * on automation. Simulated hands fly, the usual actions judge; what people say is said through the actions that they would use.
 */
final class Stories
{
    /** Sessions in the order in which the class is taught. */
    private const COURSE = [
        ['hover', 'hover-and-turn', 'hover'], ['slowest-line', 'return-to-centre', 'pure-axis'],
        ['pad-to-pad', 'square-fixed-heading', 'slowest-line'], ['circle-fixed-heading', 'out-and-back'],
        ['push-in', 'straight-back', 'rise'], ['lateral-dolly', 'diagonal-dolly', 'sink'], ['pan', 'locked-off', 'tilt'],
        ['square-with-turns', 'coordinated-circle'], ['rise-and-advance', 'sideways-crane', 'pan'], ['lift-and-tilt', 'tilt'],
        ['ground-to-horizon', 'slide-with-pan'], ['side-track', 'follow'], ['straight-down', 'top-down-spin'],
        ['figure-of-eight', 'pull-away'], ['reverse-tilt-up', 'climbing-orbit'], ['nose-in-bay', 'push-in-from-high'],
    ];

    private const TILTING = ['tilt', 'lift-and-tilt', 'ground-to-horizon', 'pull-away', 'low-tilt-up', 'drop-and-tilt'];

    private const DUCTED = ['speed-by-pitch', 'indoor-tour', 'square-fixed-heading', 'speed-by-pitch', 'indoor-tour', 'hover'];

    /** @var array<string, Shot> */
    private array $shots = [];

    private int $seed = 7000;

    public function __construct(
        private readonly DraftShot $draft, private readonly FlyShot $fly, private readonly Practice $practice,
        private readonly SayOfStep $say, private readonly GiveLesson $give,
    ) {
    }

    /**
     * @param  array<string, User>  $people
     * @param  list<Site>  $sites
     * @param  array<string, Rig>  $rigs
     */
    public function tell(array $people, array $sites, array $rigs, User $trainer): void
    {
        foreach (self::flights() as [$daysAgo, $who, $move, $mode, $more, $habits, $automated]) {
            $rig = $rigs[in_array($move, ['speed-by-pitch', 'indoor-tour'], true) || isset($more['ducted']) ? 'wren' : 'lapwing'];
            $shot = $this->shot($people[$who], $sites, $rig, $move, $mode, array_diff_key($more, ['ducted' => 0]), $daysAgo);
            $at = Carbon::now()->startOfHour()->subDays($daysAgo)->setTime(9 + $this->seed % 7, (11 * $this->seed) % 60);
            $winds = [Wind::still(), new Wind(4.2, 1.7, 2.9), new Wind(3.7, 2.9, 4.4)];
            ($this->fly)(
                $shot, $habits, $automated ? 'automation' : 'demo', $winds[$this->seed % 3], $this->seed++, $people[$who], $at,
                automated: $automated,
            );
        }
        $this->practised($people);
        $this->said($people, $trainer);
        $this->lessons($people, $trainer);
        OwnEntry::query()->create([
            'school_id' => $trainer->school_id, 'operator_id' => $people['sorrel']->id,
            'flown_at' => Carbon::now()->subDays(4)->setTime(15, 0), 'minutes' => 18.0, 'batteries' => 1, 'craft' => 'Lapwing 250',
            'place' => 'the kelp racks', 'text' => 'First flight after the break: the card was full, so there is no log.',
        ]);
    }

    /**
     * Who flew what when, oldest first: days ago, who, move, mode, parameters, hands, whether automation flew.
     *
     * @return list<array{int, string, string, string, array<string, float|string>, OperatorHabits, bool}>
     */
    private static function flights(): array
    {
        $flights = [];
        // Whoever follows the course flies its sessions in turn, from so many days ago to so many, first and last hands given.
        $course = static function (string $who, int $from, int $to, int $sessions, callable $hands) use (&$flights): void {
            for ($k = 0; $k < $sessions; $k++) {
                $day = (int) round($from - ($from - $to) * $k / max(1, $sessions - 1));
                $share = $k / max(1, $sessions - 1);
                foreach (self::COURSE[$k] as $move) {
                    $flights[] = [$day, $who, $move, $k % 4 === 3 ? 'slow' : 'standard', [], $hands($share, $move), false];
                }
            }
        };
        $level = static function (string $name, int $seed, float $first, float $last): callable {
            $hands = OperatorHabits::named($name, $seed);

            return static fn (float $share): OperatorHabits => $hands->scaled($first + ($last - $first) * $share);
        };
        $course('juno', 82, 3, 16, $level('advanced', 3, 1.5, 0.6));
        $course('tobias', 80, 8, 9, $level('intermediate', 5, 1.5, 0.8));
        $course('nessa', 81, 24, 8, $level('intermediate', 8, 1.2, 0.5));
        $course('anselm', 79, 12, 6, static fn (float $share): OperatorHabits => OperatorHabits::named('flicker')->scaled(1.1)->with(
            0.5, 0.06, [new Slip(Slip::TREMBLE, Finger::Turn, 5.0, 0.02, 20.0)],
        ));
        $course('oran', 80, 22, 6, $level('beginner', 12, 1.0, 0.8));
        $course('sorrel', 83, 47, 7, $level('intermediate', 14, 1.1, 0.6));
        $jolt = [new Slip(Slip::KICK, Finger::Tilt, 6.5, 0.3), new Slip(Slip::SPRING, Finger::Tilt, 8.0, 1.0)];
        $course('wick', 82, 58, 5, static fn (float $share, string $move): OperatorHabits => OperatorHabits::named('intermediate', 17)
            ->scaled(1.1 - 0.5 * $share)->slipping(...in_array($move, self::TILTING, true) ? $jolt : []));
        // Stuck on the tilt: every other finger learns.
        foreach ([52, 49, 44, 41, 38, 34, 31, 27, 24, 20, 17, 13, 10, 7, 4, 2] as $k => $day) {
            $flights[] = [
                $day, 'wick', self::TILTING[$k % 6], 'standard', [],
                OperatorHabits::named('advanced', 17)->scaled(1.2 - 0.04 * $k)->slipping(...$jolt), false,
            ];
        }
        // One way round only.
        foreach ([22, 21, 19, 17, 16, 14, 12, 11, 9, 7, 6, 4, 2, 1] as $k => $day) {
            $flights[] = [
                $day, 'nessa', $k % 4 === 3 ? 'climbing-orbit' : 'orbit', 'standard', ['direction' => 'counterclockwise'],
                OperatorHabits::named('advanced', 8)->scaled(1.2 - 0.05 * $k), false,
            ];
        }
        // Leaning on automation: it flies the half of what he brings home.
        foreach ([20, 18, 16, 15, 13, 11, 10, 8, 6, 5, 3, 2] as $k => $day) {
            $flights[] = [
                $day, 'oran', ['orbit', 'follow', 'pull-away'][$k % 3], 'standard', [],
                $k % 3 === 1 ? OperatorHabits::named('beginner', 12)->scaled(0.9) : new OperatorHabits, $k % 3 !== 1,
            ];
        }
        // Back from a break of six weeks: the hand has to be found again.
        foreach ([4, 3, 2, 1] as $k => $day) {
            $flights[] = [
                $day, 'sorrel', ['hover-and-turn', 'push-in', 'lateral-dolly', 'orbit'][$k], $k < 2 ? 'slow' : 'standard', [],
                OperatorHabits::named('intermediate', 14)->scaled(1.5 - 0.2 * $k), false,
            ];
        }
        // The ducted craft: pace by throttle at first, by lean later.
        foreach ([70, 64, 58, 52, 47, 42, 38, 33, 28, 23, 18, 11] as $k => $day) {
            $hands = OperatorHabits::named('intermediate', 21)->scaled(1.3 - 0.06 * $k);
            $flights[] = [
                $day, 'mairi', self::DUCTED[$k % 6], 'standard', ['ducted' => 1.0],
                $k < 4 ? $hands->slipping(new Slip(Slip::BOUNCE, Finger::Climb, 3.0, 0.25, 12.0)) : $hands, false,
            ];
        }
        usort($flights, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $flights;
    }

    /** @param  array<string, User>  $people */
    private function practised(array $people): void
    {
        $flown = [['wick', 'tilt', 12], ['wick', 'lift-and-tilt', 5], ['nessa', 'orbit', 8], ['oran', 'push-in', 9]];
        foreach ($flown as $k => [$who, $move, $days]) {
            $shot = $this->shots["$who $move standard"] ?? $this->shots["$who $move standard counterclockwise"] ?? null;
            if ($shot !== null) {
                $this->practice->flight(
                    $people[$who], $shot, OperatorHabits::named('intermediate', 40 + $k), [], 'gamepad', ['ghost-fingers' => $k === 0],
                    false, 640 + $k, Carbon::now()->startOfHour()->subDays($days)->setTime(19, 10 * $k),
                );
            }
        }
    }

    /**
     * What was signed off, and what the operators say themselves.
     *
     * @param  array<string, User>  $people
     */
    private function said(array $people, User $trainer): void
    {
        $seen = 'Flown at the spring course on the peat field, and watched by me.';
        $known = ['hover', 'one-line', 'to-centre', 'square', 'fixed-circle', 'there-and-back', 'pads'];
        $first = ['juno' => 7, 'tobias' => 5, 'nessa' => 6, 'sorrel' => 5, 'wick' => 6, 'mairi' => 3, 'anselm' => 3, 'oran' => 3];
        foreach ($first as $who => $count) {
            foreach (array_slice($known, 0, $count) as $step) {
                $this->at(84, fn (): StepSaying => ($this->say)($people[$who], $trainer, $step, StepSaying::SIGN_OFF, $seen, true));
            }
        }
        foreach (['along', 'aside', 'upright', 'look-round', 'wheel', 'led-circle'] as $k => $step) {
            foreach (['juno', 'nessa'] as $who) {
                $this->at(30 - 4 * $k, fn (): StepSaying => ($this->say)($people[$who], $people[$who], $step, StepSaying::WORD, '', false));
            }
        }
        foreach (['juno' => ['led-circle', 'slide-and-pan'], 'nessa' => ['led-circle', 'slide-and-pan']] as $who => $steps) {
            foreach ($steps as $k => $step) {
                $this->at(20 - $k, fn (): StepSaying => ($this->say)(
                    $people[$who], $trainer, $step, StepSaying::SIGN_OFF, 'Both ways, beside me, at the walled garden.', true,
                ));
            }
        }
        $this->at(11, fn (): StepSaying => ($this->say)(
            $people['mairi'], $trainer, 'tour', StepSaying::SUPERVISOR, $trainer->name, false,
        ));
    }

    /** @param  array<string, User>  $people */
    private function lessons(array $people, User $trainer): void
    {
        $step = static fn (string $kind, string $move, int $passes, string $note = ''): array => [
            'kind' => $kind, 'move' => $move, 'shot_id' => null, 'passes' => $passes, 'note' => $note,
        ];
        $stops = $this->given($trainer, [
            'title' => 'Stops that nobody sees', 'purpose' => 'End every move so softly that the cut can be anywhere.',
            'steps' => [
                $step('read', 'return-to-centre', 1), $step('spot', 'push-in', 4), $step('practise', 'push-in', 3, 'without the ghost'),
                $step('fly', 'push-in', 3), $step('debrief', '', 1),
            ], 'minutes' => 70, 'batteries' => 2, 'wanted_on' => Carbon::now()->addDays(5)->format('Y-m-d'),
        ], [$people['tobias'], $people['anselm'], $people['oran'], $people['wick']], 9);
        $this->given($trainer, [
            'title' => 'The wheel, alone', 'purpose' => 'Stop the tilt at any height without a jolt.',
            'steps' => [
                $step('rehearse', 'tilt', 3, 'eyes shut, count four'), $step('practise', 'lift-and-tilt', 2),
                $step('fly', 'tilt', 3, 'slow mode'),
            ], 'minutes' => 40, 'batteries' => 1, 'wanted_on' => Carbon::now()->addDays(2)->format('Y-m-d'),
        ], [$people['wick']], 6);
        $query = LessonMember::query()->where('lesson_id', $stops->id)->where('operator_id', $people['anselm']->id);
        $query->update(['ticked' => '[0]', 'comment' => 'With gloves on I feel the spring too late. Can we try it with the long sticks?']);
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @param  list<User>  $operators
     */
    private function given(User $trainer, array $attributes, array $operators, int $daysAgo): Lesson
    {
        return $this->at($daysAgo, fn (): Lesson => ($this->give)(
            $trainer, null, $attributes, array_map(static fn (User $one): int => $one->id, $operators), 0,
        ));
    }

    /**
     * Something as it was done some days ago.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function at(int $daysAgo, callable $do): mixed
    {
        Carbon::setTestNow(Carbon::now()->subDays($daysAgo));
        try {
            return $do();
        } finally {
            Carbon::setTestNow();
        }
    }

    /**
     * @param  list<Site>  $sites
     * @param  array<string, float|string>  $parameters
     */
    private function shot(User $who, array $sites, Rig $rig, string $move, string $mode, array $parameters, int $daysAgo): Shot
    {
        $key = trim(strtok($who->email, '@')." $move $mode ".implode(' ', $parameters));
        $known = $this->shots[$key] ?? null;
        if ($known === null) {
            $place = strlen($key) % 2;
            $drafted = ($this->draft)(
                $sites[$place], $rig, $who->load('school'),
                ['mode' => $mode, 'move' => $move, 'subject_id' => ['stones', 'kiln'][$place], 'parameters' => $parameters],
            );
            $plan = Planner::plan($drafted['shot']);
            $known = new Shot([
                'school_id' => $who->school_id, 'operator_id' => $who->id, 'site_id' => $sites[$place]->id, 'rig_id' => $rig->id,
                'title' => ucfirst(str_replace('-', ' ', $move)).($mode === 'slow' ? ', slow' : ''), 'mode' => $mode, 'move' => $move,
                'intent' => [...$drafted['intent'], 'parameters' => $plan->move->intent->parameters], 'wind' => Wind::still()->toArray(),
            ]);
            // Worked out when it was first flown, so that the latest shots stay those that are worked on.
            $made = Carbon::now()->subDays($daysAgo + 60);
            $known->forceFill(['created_at' => $made, 'updated_at' => $made]);
            $known->timestamps = false;
            $known->save();
            $this->shots[$key] = $known;
        }

        return $known->load(['site', 'rig', 'operator.school']);
    }
}
