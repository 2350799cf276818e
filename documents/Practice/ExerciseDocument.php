<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Documents\Plan\PlanDocument;
use Documents\Rig\Pads;
use Documents\Rig\RigCamera;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\FlightDay\ReturnHeight;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Exercise;
use Larkspur\Site\Sun;

/** An exercise given out to be flown: its world, its plan, and the seal with which a recording of it comes back. */
final readonly class ExerciseDocument implements Document
{
    /** Samples of the plan, steps of 0.02 s between them: fine enough for a ghost. */
    private const STRIDE = 5;

    /**
     * @param  string  $envelope  what was given to whom, as text: it comes back as it is
     * @param  array<string, mixed>  $site  as the shot has it
     * @param  array<string, mixed>  $conditions  as they were set
     * @param  bool  $judged  whether there is a plan to judge it against
     * @param  ?Jolt  $jolt  null where the press of record shakes nothing
     * @param  float  $startsAtS  second of the plan at which the flight begins
     * @param  list<CoursePad>  $pads  where something is measured
     * @param  list<Fact>  $caution  what to mind where the same is flown with a craft
     */
    public function __construct(
        public string $envelope,
        public string $seal,
        public string $title,
        public ?int $shotId,
        public int $rigId,
        public string $craft,
        public string $mode,
        public bool $judged,
        public int $seed,
        public WorldDocument $world,
        public PlanDocument $plan,
        #[Shape('SiteDocument')]
        public array $site,
        #[Shape('Conditions')]
        public array $conditions,
        public Pads $sticks,
        public bool $wheelUp,
        public PilotPlace $pilot,
        public SunPlace $sun,
        public ?Jolt $jolt,
        public float $startsAtS,
        public float $returnHeightM,
        public array $pads,
        public array $caution,
    ) {
    }

    /**
     * @param  array{envelope: string, seal: string}  $sealed
     * @param  float  $now  UTC seconds since 1970: where the sun stands
     */
    public static function of(Exercise $exercise, array $sealed, ?int $shotId, int $rigId, RigCamera $camera, float $now): self
    {
        $shot = $exercise->shot;
        $pilot = $exercise->pilot();

        return new self(
            $sealed['envelope'], $sealed['seal'], $exercise->title, $shotId, $rigId, $shot->rig->craft, $shot->mode,
            $exercise->kind === 'plan', $exercise->seed, WorldDocument::of($exercise->world(), $camera),
            PlanDocument::of($exercise->plan, self::STRIDE), $shot->site->toArray(), $exercise->conditions->toArray(),
            Pads::of($shot->sticks), $shot->wheelUp, new PilotPlace($pilot->east, $pilot->north, $pilot->up),
            SunPlace::of(Sun::at($now, $shot->site->home)),
            $exercise->conditions->jolt ? new Jolt(Conditions::JOLT_SECONDS, Conditions::JOLT_TRAVEL) : null, $exercise->startsAt(),
            ReturnHeight::of($shot->site, [$exercise->plan])->height,
            array_map(static fn (array $pad): CoursePad => new CoursePad(
                $pad['east'], $pad['north'], $pad['up'], $pad['kind'],
            ), $exercise->course()->pads), $exercise->caution(),
        );
    }
}
