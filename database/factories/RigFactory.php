<?php

declare(strict_types=1);

namespace Database\Factories;

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

        return ['school_id' => School::factory(), 'craft' => $rig['craft'], 'document' => $rig, 'camera' => $camera];
    }
}
