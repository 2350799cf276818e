<?php

declare(strict_types=1);

namespace Demo;

use App\Actions\KeepRecording;
use App\Models\Shot;
use App\Models\Spotting;
use App\Models\User;
use App\Practice\Envelope;
use App\Practice\KeepRehearsal;
use Illuminate\Support\Carbon;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\SpotRound;

/** Practice of the demo school: simulated hands play through the same actions as anybody's. */
final readonly class Practice
{
    public function __construct(private KeepRecording $keep, private KeepRehearsal $rehearse)
    {
    }

    /**
     * @param  array<string, mixed>  $conditions
     * @param  array<string, bool>  $aids
     */
    public function flight(
        User $who, Shot $shot, OperatorHabits $habits, array $conditions, string $device, array $aids, bool $brokenOff,
        int $seed, Carbon $at,
    ): void {
        $exercise = self::exercise($shot, $conditions, $seed);
        $recording = self::played($exercise, $habits, $device, $aids, $brokenOff);
        $sealed = Envelope::seal($who, $shot->id, $shot->rig_id, $exercise);
        ($this->keep)($who, $sealed['envelope'], $sealed['seal'], $recording, $at);
    }

    public function rehearsal(User $who, Shot $shot, OperatorHabits $habits, int $seed, Carbon $at): void
    {
        $exercise = self::exercise($shot, [], $seed);
        $sealed = Envelope::seal($who, $shot->id, $shot->rig_id, $exercise);
        ($this->rehearse)($who, $sealed['envelope'], $sealed['seal'], self::played($exercise, $habits, 'keyboard', [], false), $at);
    }

    /** A few rounds, with the answers of an eye that sees most of it. */
    public function spottings(User $who, Shot $shot): void
    {
        $plan = Planner::plan($shot->planned());
        foreach ([3, 4, 5, 8, 9, 12] as $k => $seed) {
            $round = SpotRound::of($plan, $seed);
            $said = match (true) {
                $k === 4 => null,
                $round->from !== null => $round->from + 0.6,
                default => $k === 5 ? 8.0 : null,
            };
            Spotting::query()->create([
                'school_id' => $who->school_id, 'operator_id' => $who->id, 'shot_id' => $shot->id, 'move' => $shot->move,
                'fault' => $round->fault, 'finger' => $round->finger?->value, 'from_s' => $round->from, 'to_s' => $round->to,
                'said' => ['at_s' => $said, 'fault' => null, 'finger' => null],
                'outcome' => SpotRound::outcome($round->from, $round->to, $said),
            ]);
        }
    }

    /** @param  array<string, mixed>  $conditions */
    private static function exercise(Shot $shot, array $conditions, int $seed): Exercise
    {
        $exercise = Exercise::of('plan', $shot->title, $shot->planned(), Conditions::read(Fields::of($conditions)), $seed);

        // As it is read again when the recording comes back.
        return Exercise::read(Fields::of(json_decode((string) json_encode($exercise->toArray()), true)), kept: true);
    }

    /**
     * @param  array<string, bool>  $aids
     * @return array<string, mixed>
     */
    private static function played(Exercise $exercise, OperatorHabits $habits, string $device, array $aids, bool $brokenOff): array
    {
        $flight = SimulatedOperator::fly($exercise->plan, $habits, $exercise->shot->wind, $exercise->seed);
        $steps = $brokenOff ? (int) (0.7 * $flight->count()) : $flight->count();
        $fingers = array_map(
            static fn (array $travel): array => array_map(
                static fn (float $x): int => (int) round(1000 * max(-1.0, min(1.0, $x))), array_slice($travel, 0, $steps),
            ),
            $flight->fingers ?? [],
        );

        return [
            'schema' => 'larkspur/recording/1',
            'id' => vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split(substr(hash('sha256', $exercise->title.$exercise->seed), 0, 32), 4)),
            'sheet' => $exercise->world()->hash(), 'step_s' => 0.02, 'fingers' => $fingers, 'recorded' => [[0, $steps]], 'automated' => [],
            'aids' => $aids, 'device' => ['kind' => $device, 'name' => 'simulated hands'], 'broken_off' => $brokenOff, 'answered' => null,
        ];
    }
}
