<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\FlightLog;
use App\Models\Take;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Take> */
final class TakeFactory extends Factory
{
    protected $model = Take::class;

    public function definition(): array
    {
        return [
            'number' => 1, 'move' => 'orbit', 'mode' => 'standard', 'direction' => 'clockwise', 'from_s' => 3.0, 'to_s' => 30.0,
            'flown_at' => now()->subDay(),
            'score' => 82.0, 'uncertainty' => 1.0, 'ease' => 90.0, 'flow' => 88.0, 'hold' => 86.0, 'line' => 91.0, 'frame' => 89.0,
            'verdict' => 'keep', 'usable_s' => 12.0,
        ];
    }

    public function of(User $operator): self
    {
        return $this->state(fn (): array => [
            'school_id' => $operator->school_id, 'operator_id' => $operator->id,
            'flight_log_id' => FlightLog::factory()->createOne(['school_id' => $operator->school_id, 'owner_id' => $operator->id])->id,
        ]);
    }
}
