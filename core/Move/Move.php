<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Move\Handle\Handle;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Rig\ModeTune;

/**
 * One move of the trade. A move states its parameters, its geometry, its onset order and how it is judged;
 * sampling, finger inputs, limits, drawing and scoring are shared. A new move is one class and its row in Catalogue.
 */
interface Move
{
    /** What the trade knows of it, its id and its name first. */
    public function about(): About;

    /** @return list<Parameter> */
    public function parameters(): array;

    /** How takes of it are judged, as far as the intent says which variant was meant. */
    public function judging(Intent $intent): Judging;

    /**
     * Values for the parameters that the intent leaves open, chosen to suit the craft.
     *
     * @return array<string, float|string>
     */
    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array;

    /**
     * The flight that the intent asks for, in the local frame.
     *
     * @param  Intent  $intent  with every parameter given
     * @param  list<string>  $assumed  which of them were left open
     */
    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan;

    /**
     * The parameters that fly the same the other way: round the same stretch from its other end, past the other side, turning the other
     * way;
     * empty where it has but one way.
     *
     * @return array<string, float|string>
     */
    public function opposite(MovePlan $plan): array;

    /**
     * The parameters that fly the same way back, from its last place to its first; empty where that is another move or none.
     *
     * @return array<string, float|string>
     */
    public function reversed(MovePlan $plan): array;

    /**
     * The parameters that fly a plan of it at a share of its pace; empty where no parameter states one.
     *
     * @return array<string, float>
     */
    public function slower(MovePlan $plan, float $share): array;

    /**
     * The parameters that make a plan of it last that many times as long.
     *
     * @return array<string, float>
     */
    public function longer(MovePlan $plan, float $times): array;

    /**
     * What can be pulled on the sheets of a plan of it.
     *
     * @param  Intent  $asked  what the plan was made of, before its defaults
     * @return list<Handle>
     */
    public function handles(MovePlan $plan, Intent $asked): array;

    /** What a take is measured against, as far as the intent says it. */
    public function wanted(Intent $intent): TakeTarget;
}
