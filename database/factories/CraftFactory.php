<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Craft;
use App\Models\School;
use Demo\Rigs;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Craft> */
final class CraftFactory extends Factory
{
    protected $model = Craft::class;

    public function definition(): array
    {
        $document = Rigs::crafts()['lapwing'];

        return ['school_id' => School::factory(), 'name' => $document['stock']['craft'], 'document' => $document];
    }
}
