<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Flight;

/** Collects poses and finger inputs, step by step, into a Flight. */
final class Track
{
    /** @var list<float> */
    private array $t = [];

    /** @var list<float> */
    private array $east = [];

    /** @var list<float> */
    private array $north = [];

    /** @var list<float> */
    private array $up = [];

    /** @var list<float> */
    private array $heading = [];

    /** @var list<float> */
    private array $tilt = [];

    /** @var array{climb: list<float>, turn: list<float>, run: list<float>, slide: list<float>, tilt: list<float>} */
    private array $fingers = ['climb' => [], 'turn' => [], 'run' => [], 'slide' => [], 'tilt' => []];

    public function add(float $time, Pose $pose, FingerInput $fingers): void
    {
        $this->t[] = $time;
        $this->east[] = $pose->east;
        $this->north[] = $pose->north;
        $this->up[] = $pose->up;
        $this->heading[] = $pose->heading;
        $this->tilt[] = $pose->tilt;
        $this->fingers['climb'][] = $fingers->climb;
        $this->fingers['turn'][] = $fingers->turn;
        $this->fingers['run'][] = $fingers->run;
        $this->fingers['slide'][] = $fingers->slide;
        $this->fingers['tilt'][] = $fingers->tilt;
    }

    public function flight(): Flight
    {
        return new Flight($this->t, $this->east, $this->north, $this->up, $this->heading, $this->tilt, $this->fingers);
    }
}
