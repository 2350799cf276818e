<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;

/** The registry of moves: a row here and a class in this folder is all that a new move needs. */
final class Catalogue
{
    /** @var array<string, class-string<Move>> */
    private const MOVES = [
        'orbit' => Orbit::class,
        'lift-and-tilt' => LiftAndTilt::class,
        'drop-and-tilt' => DropAndTilt::class,
        'pull-away' => PullAway::class,
        'push-in-from-high' => PushInFromHigh::class,
    ];

    public static function move(string $id, string $place = 'move'): Move
    {
        $class = self::MOVES[$id] ?? throw new Refusal(sprintf('“%s” is not a move that can be planned.', $id), $place, 'one of '.implode(', ', self::ids()));

        return new $class;
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::MOVES);
    }

    /** Completes an intent with defaults that suit the craft, and plans it. */
    public static function plan(Intent $intent, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        $move = self::move($intent->move);
        $open = array_diff_key($move->defaults($intent, $frame, $mode), $intent->parameters);

        return $move->plan($intent->with($open), array_keys($open), $frame);
    }
}
