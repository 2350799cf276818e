<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\School;
use Demo\Rigs;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Rig> */
final class RigFactory extends Factory
{
    protected $model = Rig::class;

    public function definition(): array
    {
        $rig = Rigs::all()['lapwing'];
        $camera = $rig['camera'];
        unset($rig['camera']);

        return [
            'school_id' => School::factory(),
            'craft_id' => static fn (array $all): int => (
                Craft::query()->where('school_id', $all['school_id'])->where('name', $rig['craft'])->first() ?? Craft::factory()->createOne(
                    ['school_id' => $all['school_id']],
                )
            )->id,
            'craft' => $rig['craft'], 'document' => $rig, 'camera' => $camera,
        ];
    }
}
