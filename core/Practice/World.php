<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Controls\Finger;
use Larkspur\Flight\Air;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\Pose;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Flight\Surroundings;

/**
 * All that the steps of a practice flight depend on, compiled from craft, mode, wind and site: the same for the page that steps it live
 * and for the server that flies the recorded fingers again.
 */
final readonly class World
{
    /**
     * @param  Pose  $start  where the flight begins, and how it moves then
     * @param  float  $battery  seconds that the battery lasts from there
     * @param  float  $reserve  of them, those in which the craft should be down, s
     */
    public function __construct(
        public ResponseSheet $response, public Air $air, public Surroundings $around, public Pose $start, public float $battery,
        public float $reserve,
    ) {
    }

    /** SHA-256 of every number that a step depends on: a recording names the world that it was flown in. */
    public function hash(): string
    {
        $response = $this->response;
        $axes = [];
        foreach (Finger::cases() as $finger) {
            $axes[] = [$response->rates($finger), $response->share($finger), $response->mostPerStep($finger)];
        }
        $start = $this->start;

        return hash('sha256', (string) json_encode([
            $response->model->value, ResponseSheet::STEP, $axes, $response->mode->accelerate, $response->mode->brake, $response->coast(),
            Aircraft::airspeed($response->rig, $response->mode), $response->rig->gustCoupling,
            [$response->rig->tiltLow, $response->rig->highestTilt(), $response->gimbalStop(), $response->rig->ducted?->camera],
            [$this->air->east, $this->air->north, $this->air->draught?->toArray()],
            [$this->around->ground->least, $this->around->ground->cell, $this->around->ground->rows],
            [$this->around->uprights, $this->around->lines, $this->around->radius],
            [$start->east, $start->north, $start->up, $start->heading, $start->tilt, $start->eastRate, $start->northRate,
                $start->climbRate, $start->turnRate, $start->tiltRate],
            $this->battery,
        ], JSON_THROW_ON_ERROR));
    }
}
