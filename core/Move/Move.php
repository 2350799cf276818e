<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Rig\ModeTune;

/**
 * One move of the trade. A move states its parameters, its geometry, its onset order and how it is judged;
 * sampling, finger inputs, limits, drawing and scoring are shared. A new move is one class and its row in Catalogue.
 */
interface Move
{
    /** Stable id, as in files and in the API. */
    public function id(): string;

    /** Name on screen. */
    public function name(): string;

    /** @return list<Parameter> */
    public function parameters(): array;

    public function judging(): Judging;

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

    /** How much of the move was meant: degrees of arc, or metres of way or climb; null where the intent leaves it open. */
    public function extent(Intent $intent): ?float;
}
