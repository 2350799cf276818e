<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\FlightLog;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<FlightLog> */
final class FlightLogFactory extends Factory
{
    protected $model = FlightLog::class;

    public function definition(): array
    {
        return [
            'sha256' => hash('sha256', $this->faker->unique()->uuid()), 'file_name' => 'pass.csv', 'bytes' => 4096,
            'source' => FlightLog::IMPORTED,
            'samples' => 300, 'rate_hz' => 10.0, 'notes' => [],
        ];
    }
}
