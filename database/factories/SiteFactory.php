<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\School;
use App\Models\Site;
use Demo\Sites;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Site> */
final class SiteFactory extends Factory
{
    protected $model = Site::class;

    public function definition(): array
    {
        return ['school_id' => School::factory(), ...Sites::all()[0]];
    }
}
