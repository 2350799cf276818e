<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Recording;
use App\Models\User;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Practice\Exercise;
use Larkspur\Refusal;

/**
 * An exercise as it is given out and comes back with a recording: to whom, of which shot and rig, sealed by this server, so that a flight
 * made without a network is judged against what was set, whatever became of the shot meanwhile.
 */
final readonly class Envelope
{
    private function __construct(
        public int $operator, public ?int $shot, public ?int $rig, public string $exercise,
    ) {
    }

    /** @return array{envelope: string, seal: string} */
    public static function seal(User $operator, ?int $shot, ?int $rig, Exercise $exercise): array
    {
        $text = json_encode([
            'operator' => $operator->id, 'shot' => $shot, 'rig' => $rig, 'exercise' => json_encode($exercise->toArray(), self::FLAGS),
        ], self::FLAGS);

        return ['envelope' => $text, 'seal' => self::sealOf($text)];
    }

    private const FLAGS = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

    /**
     * @throws Refusal where this server did not give it out
     * @throws ModelNotFoundException where it was given to somebody else
     */
    public static function open(string $text, string $seal, User $user): self
    {
        if (! hash_equals(self::sealOf($text), $seal)) {
            throw new Refusal(Fact::of('exercise.not-ours'), 'envelope', Fact::of('exercise.as-given-out'));
        }
        $read = json_decode($text, true, flags: JSON_THROW_ON_ERROR);
        if ($read['operator'] !== $user->id) {
            throw (new ModelNotFoundException)->setModel(Recording::class);
        }

        return new self($read['operator'], $read['shot'], $read['rig'], $read['exercise']);
    }

    public function read(): Exercise
    {
        return Exercise::read(Fields::of(json_decode($this->exercise, true, flags: JSON_THROW_ON_ERROR)), kept: true);
    }

    private static function sealOf(string $text): string
    {
        return hash_hmac('sha256', $text, 'exercise '.config('app.key'));
    }
}
