<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\School;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    public function definition(): array
    {
        return [
            'school_id' => School::factory(), 'name' => $this->faker->name(), 'email' => $this->faker->unique()->safeEmail(),
            'password' => 'moor-and-wind', 'role' => User::OPERATOR,
        ];
    }

    public function trainer(): self
    {
        return $this->state(['role' => User::TRAINER]);
    }
}
