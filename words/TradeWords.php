<?php

declare(strict_types=1);

namespace Words;

/**
 * What the trade calls moves beside their names here: a library is looked through by the word that one knows (common practice, no published
 * source; words that mean several things stand in the Glossary).
 */
final class TradeWords
{
    /** @var array<string, list<string>> ids of moves by word */
    private const MOVES = [
        'jib' => ['rise', 'sink', 'sideways-crane', 'lift-and-tilt', 'drop-and-tilt'],
        'crane' => [
            'rise', 'sink', 'sideways-crane', 'rise-and-advance', 'rise-and-retreat', 'sink-and-retreat', 'lift-and-tilt', 'drop-and-tilt',
        ],
        'boom' => ['rise', 'sink', 'rise-and-advance', 'run-and-lift'],
        'pedestal' => ['rise', 'sink'],
        'dolly' => ['push-in', 'straight-back', 'lateral-dolly', 'diagonal-dolly', 'slowest-line'],
        'truck, trucking' => ['lateral-dolly', 'side-track', 'top-down-travel'],
        'crab' => ['lateral-dolly', 'slide-with-pan'],
        'tracking' => ['follow', 'chase', 'lead', 'side-track', 'top-down-follow'],
        'parallax' => ['orbit', 'slide-with-pan', 'orbit-finish', 'lateral-dolly'],
        'arc' => ['orbit', 'slide-with-pan', 'orbit-finish', 'curved-retreat'],
        'half orbit' => ['slide-with-pan', 'orbit-finish'],
        'circling' => ['orbit', 'orbit-yourself', 'climbing-orbit', 'spiral-orbit', 'coordinated-circle', 'circle-fixed-heading'],
        'spiral, helix' => ['spiral-orbit', 'climbing-orbit', 'top-down-helix'],
        'counter-tilt' => ['lift-and-tilt', 'drop-and-tilt', 'pull-away', 'climbing-orbit-with-tilt'],
        'selfie pull-away' => ['pull-away'],
        'pull out' => ['pull-away', 'rise-and-retreat', 'straight-back'],
        'tripod, static' => ['locked-off', 'top-down-hold', 'hover'],
        'bird’s eye, overhead' => [
            'top-down-hold', 'top-down-travel', 'top-down-spin', 'top-down-helix', 'top-down-follow', 'straight-down',
        ],
        'establishing' => ['pull-away', 'orbit', 'rise', 'ground-to-horizon'],
        'fly-through' => ['gap', 'indoor-tour'],
        'fly-by, pass' => ['overtake', 'head-on', 'top-down-overtake'],
        'yaw' => ['pan', 'hover-and-turn', 'rise-and-rotate', 'backward-with-pan'],
        'pitch, lean' => ['speed-by-pitch', 'push-in', 'straight-back'],
        'throttle' => ['rise', 'sink', 'ceiling-climb'],
        'walk-through' => ['indoor-tour', 'push-in'],
        'backing in' => ['nose-in-bay', 'straight-back'],
        'no satellites, attitude' => ['no-positioning'],
    ];

    /** @return list<string> what a move is called beside its name */
    public static function of(string $move): array
    {
        return array_map(strval(...), array_keys(array_filter(self::MOVES, static fn (array $ids): bool => in_array($move, $ids, true))));
    }

    /** @return array<string, list<string>> */
    public static function all(): array
    {
        return self::MOVES;
    }
}
