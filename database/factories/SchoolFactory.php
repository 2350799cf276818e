<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\School;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<School> */
final class SchoolFactory extends Factory
{
    protected $model = School::class;

    public function definition(): array
    {
        return ['name' => 'School of '.$this->faker->unique()->word()];
    }
}
