<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Larkspur\Move\Intent;

/** @extends Factory<Shot> */
final class ShotFactory extends Factory
{
    protected $model = Shot::class;

    public const PARAMETERS = [
        'radius_m' => 22.5, 'height_m' => 9.0, 'arc_deg' => 70.0, 'pace_mps' => 2.2, 'direction' => 'clockwise',
        'start_bearing_deg' => 200.0, 'ease_s' => 2.4,
    ];

    public function definition(): array
    {
        return [
            'title' => 'Round the stones', 'mode' => 'standard', 'move' => 'orbit',
            'wind' => ['from_deg' => 0.0, 'mean_mps' => 0.0, 'gust_mps' => 0.0],
        ];
    }

    /** A whole shot of an operator: an orbit of the site's first subject with every parameter fixed. */
    public static function whole(User $operator): Shot
    {
        $site = Site::factory()->createOne(['school_id' => $operator->school_id]);
        $rig = Rig::factory()->createOne(['school_id' => $operator->school_id]);
        $subject = $site->subjects[0];
        $shot = Shot::factory()->createOne([
            'school_id' => $operator->school_id, 'operator_id' => $operator->id, 'site_id' => $site->id, 'rig_id' => $rig->id,
            'intent' => [
                'schema' => Intent::SCHEMA, 'move' => 'orbit',
                'subject' => array_intersect_key($subject, ['lat' => 1, 'lon' => 1, 'alt_m' => 1, 'base_alt_m' => 1]),
                'parameters' => self::PARAMETERS,
            ],
        ]);

        return $shot->load(['site', 'rig', 'operator.school']);
    }
}
