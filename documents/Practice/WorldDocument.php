<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Documents\Rig\ResponseSheetDocument;
use Documents\Rig\RigCamera;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\DuctedCraft;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Flight\Surroundings;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Lag;
use Larkspur\Practice\PracticeFlight;
use Larkspur\Practice\World;
use Larkspur\Rig\Ducted;

/** The compiled world of a practice flight, with every number that the page's stepping needs. */
final readonly class WorldDocument implements Document
{
    /**
     * @param  'positioning'|'free'|'levelling'|'rates'  $model
     * @param  list<WorldUpright>  $uprights
     * @param  list<WorldLine>  $lines
     */
    public function __construct(
        public string $hash,
        public string $model,
        public ResponseSheetDocument $response,
        public WorldCraft $craft,
        public WorldAir $air,
        public WorldGround $ground,
        public WorldStart $start,
        public array $uprights,
        public array $lines,
        public float $batteryS,
        public float $reserveS,
    ) {
    }

    public static function of(World $world, RigCamera $camera): self
    {
        $response = $world->response;

        return new self(
            $world->hash(), $response->model->value, ResponseSheetDocument::of($response, $camera),
            new WorldCraft(
                $world->around->radius, Aircraft::airspeed($response->rig, $response->mode), $response->coast(),
                $response->rig->gustCoupling, $response->gimbalStop() / Angle::DEGREE,
                Lag::share(PracticeFlight::LEAN_TIME, ResponseSheet::STEP), Ducted::GRAVITY, Surroundings::LANDING_SINK,
                Surroundings::LANDING_SPEED, DuctedCraft::MOST_LEAN / Angle::DEGREE,
                $response->rig->ducted === null ? null : $response->rig->ducted->camera / Angle::DEGREE,
                $response->pictureRolls(), ($response->rig->gimbal->offset ?? 0.0) / Angle::DEGREE,
            ),
            WorldAir::of($world->air), WorldGround::of($world->around->ground), WorldStart::of($world->start),
            array_map(WorldUpright::of(...), $world->around->uprights), array_map(WorldLine::of(...), $world->around->lines),
            $world->battery, $world->reserve,
        );
    }
}
