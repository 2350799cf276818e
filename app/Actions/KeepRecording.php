<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog;
use App\Models\Recording as Kept;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\User;
use App\Practice\Envelope;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\Flown;
use Larkspur\Practice\Recording;

/**
 * Keeps what the fingers did in a practice flight, flies it again and judges that: what the page showed meanwhile counts for nothing. The
 * same recording sent twice is kept once, and answered the same.
 */
final readonly class KeepRecording
{
    /** Seconds that the work on one may take. */
    private const LONGEST = 60;

    public function __construct(private SendFlight $send)
    {
    }

    /**
     * @param  array<string, mixed>  $sent  a recording (schema larkspur/recording/1)
     */
    public function __invoke(User $user, string $envelope, string $seal, array $sent, Carbon $madeAt): Kept
    {
        $given = Envelope::open($envelope, $seal, $user);
        $recording = Recording::read(Fields::of($sent, 'recording'));

        // One at a time: whoever sends it twice at once waits for what the first comes to.
        return Cache::lock("recording $user->id $recording->id", self::LONGEST)->block(
            self::LONGEST, fn (): Kept => $this->once($user, $given, $recording, $sent, $madeAt),
        );
    }

    /** @param  array<string, mixed>  $sent */
    private function once(User $user, Envelope $given, Recording $recording, array $sent, Carbon $madeAt): Kept
    {
        $before = self::before($user, $recording->id);
        if ($before !== null && $before->outcome !== []) {
            return $before;
        }
        $exercise = $given->read();
        $flown = Flown::of($exercise, $recording);
        $kept = $before ?? self::keep($user, $given, $exercise, $recording, $sent, $madeAt);
        $kept->update($this->outcome($kept, $given, $flown));

        return $kept;
    }

    private static function before(User $user, string $uuid): ?Kept
    {
        return Kept::query()->where('operator_id', $user->id)->where('uuid', $uuid)->first();
    }

    /** @param  array<string, mixed>  $sent */
    private static function keep(
        User $user, Envelope $given, Exercise $exercise, Recording $recording, array $sent, Carbon $madeAt,
    ): Kept {
        $known = static fn (string $kind, ?int $id): ?int => $id === null || $kind::query()->whereKey($id)->doesntExist() ? null : $id;

        return Kept::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'shot_id' => $known(Shot::class, $given->shot),
            'rig_id' => $known(Rig::class, $given->rig), 'uuid' => $recording->id, 'kind' => Kept::FLIGHT,
            'move' => $exercise->shot->intent->move, 'sheet' => $recording->sheet, 'steps' => $recording->steps(),
            'exercise' => $given->exercise, 'body' => Kept::packed($sent), 'outcome' => [], 'made_at' => $madeAt,
        ]);
    }

    /** @return array{take_id: ?int, outcome: array<string, mixed>} */
    private function outcome(Kept $kept, Envelope $given, Flown $flown): array
    {
        $exercise = $flown->exercise;
        $outcome = [
            'seconds' => round(($flown->flight->count() - 1) * 0.02, 2), 'ended' => $flown->ending?->said(),
            'ended_at_s' => $flown->ending === null ? null : $flown->ending->step * 0.02,
            'broken_off' => $flown->recording->brokenOff, 'recorded' => $flown->isPass(), 'said' => null,
        ];
        $against = $exercise->judgedAgainst();
        if (! $flown->isPass() || $against === null) {
            return ['take_id' => null, 'outcome' => [
                ...$outcome, 'said' => $flown->isPass() ? Fact::of('exercise.loop-of-figure') : null,
            ]];
        }
        $rig = $kept->rig_id === null ? null : Rig::query()->find($kept->rig_id);
        $name = Str::slug($exercise->title ?: $exercise->shot->intent->move).'-practised-'.$kept->uuid.'.csv';
        $import = ($this->send)($flown->pass(), [
            'school_id' => $kept->school_id, 'owner_id' => $kept->operator_id, 'shot_id' => $kept->shot_id,
            'file_name' => $name,
            'flown_at' => $kept->made_at, 'source' => FlightLog::PRACTISED,
            // The site as it is has no plan: what was flown is judged as what it looks like, and is practised all the same.
            'practice' => [
                'intent' => $exercise->kind === 'free' ? null : $against->toArray(), 'wind' => $exercise->shot->wind->toArray(),
                'rig_id' => $rig?->id, 'craft_id' => $rig?->craft_id, 'mode' => $exercise->shot->mode,
                'how' => [
                    'device' => $flown->recording->device, 'device_name' => $flown->recording->deviceName,
                    'aids' => $flown->recording->aids, 'conditions' => $exercise->conditions->toArray(), 'seed' => $exercise->seed,
                    'purpose' => $flown->recording->purpose,
                    'broken_off' => $flown->recording->brokenOff,
                ],
            ],
        ]);

        return [
            // Where the work broke off after the take was kept, it is there already.
            'take_id' => $import->outcome['takes'][0] ?? self::takeOf($kept, $name),
            'outcome' => [...$outcome, 'import' => $import->id, 'said' => $import->outcome['message'] ?? null],
        ];
    }

    private static function takeOf(Kept $kept, string $fileName): ?int
    {
        $log = FlightLog::query()->where('owner_id', $kept->operator_id)->where('file_name', $fileName)->first();

        return $log?->takes()->first()?->id;
    }
}
