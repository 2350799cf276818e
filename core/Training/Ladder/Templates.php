<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

/**
 * Three orders in which the trade teaches, as ladders to begin with. The steps are the same in all of them, and so are their ids: a school
 * that goes from one order to another keeps what was signed off. Scores, counts and days are proposals, ours, to be edited.
 */
final class Templates
{
    /** Foundation drills first, then moves by what they build on (common practice, no published source). */
    public const FOUNDATION = 'foundation';

    /** One axis, two axes, three axes. */
    public const AXES = 'axes';

    /** One control, two sticks, sticks and wheel, then combinations. */
    public const CONTROLS = 'controls';

    public const ALL = [self::FOUNDATION, self::AXES, self::CONTROLS];

    /**
     * Per step: moves, level, the needs in each of the three orders, and what of its criterion is not the usual.
     *
     * @var array<string, array{list<string>, int<1, 5>, list<string>, list<string>, list<string>, array<string, mixed>}>
     */
    private const STEPS = [
        'hover' => [['hover', 'hover-and-turn'], 1, [], [], [], ['kind' => 'either', 'passes' => 2, 'of' => 3]],
        'one-line' => [['slowest-line'], 1, ['hover'], ['hover'], ['hover'], ['kind' => 'either']],
        'to-centre' => [['return-to-centre', 'pure-axis'], 1, ['hover'], ['hover'], ['hover'], ['kind' => 'either']],
        'pads' => [['pad-to-pad', 'landing'], 1, ['hover'], ['one-line'], ['to-centre'], []],
        'square' => [['square-fixed-heading'], 2, ['to-centre'], ['one-line', 'to-centre'], ['to-centre'], []],
        'fixed-circle' => [['circle-fixed-heading'], 2, ['square'], ['square'], ['square'], []],
        'there-and-back' => [['out-and-back', 'square-with-turns'], 2, ['square'], ['two-straight'], ['square', 'look-round'], []],
        'led-circle' => [
            ['coordinated-circle'], 2, ['there-and-back'], ['there-and-back'], ['there-and-back'], ['both_ways' => true],
        ],
        'eight' => [['figure-of-eight'], 3, ['led-circle'], ['led-circle'], ['led-circle'], []],
        'nose-in' => [['nose-in-bay'], 3, ['eight'], ['eight'], ['eight'], ['of' => 5]],
        'straight-down' => [['straight-down', 'ceiling-climb'], 2, ['hover'], ['upright'], ['upright'], []],
        'home' => [['return-home'], 2, ['pads'], ['pads'], ['pads'], ['passes' => 2, 'of' => 3, 'sign_off' => true]],
        'along' => [
            ['push-in', 'straight-back', 'low-over-water'], 1, ['one-line', 'to-centre'], ['one-line', 'to-centre'], ['to-centre'],
            ['slow_too' => true, 'two_distances' => true],
        ],
        'aside' => [
            ['lateral-dolly', 'diagonal-dolly'], 1, ['to-centre'], ['to-centre'], ['to-centre'], ['two_distances' => true],
        ],
        'upright' => [['rise', 'sink'], 1, ['to-centre'], ['to-centre'], ['to-centre'], []],
        'look-round' => [['pan', 'locked-off'], 1, ['hover'], ['hover'], ['to-centre'], []],
        'wheel' => [['tilt', 'low-tilt-up'], 2, ['to-centre'], ['to-centre'], ['along', 'aside', 'upright'], ['slow_too' => true]],
        'two-straight' => [
            ['rise-and-advance', 'sink-and-retreat', 'rise-and-retreat', 'skim', 'sideways-crane', 'run-and-lift'], 2, ['along', 'upright'],
            ['along', 'aside', 'upright', 'look-round'], ['along', 'upright'], [],
        ],
        'rise-and-turn' => [
            ['rise-and-rotate', 'rise-slide-turn'], 2, ['upright', 'look-round'], ['two-straight'], ['upright', 'look-round'], [],
        ],
        'hold-by-wheel' => [['lift-and-tilt', 'drop-and-tilt'], 3, ['upright', 'wheel'], ['upright', 'wheel'], ['wheel'], []],
        'reveals' => [
            ['ground-to-horizon', 'reverse-tilt-up', 'reverse-tilt-down', 'over-the-edge', 'ascent-late-tilt', 'sink-to-eye-level'], 3,
            ['along', 'wheel'], ['two-straight', 'wheel'], ['wheel', 'two-straight'], ['facets' => ['ease' => 80]],
        ],
        'slide-and-pan' => [
            ['slide-with-pan', 'round-the-side'], 3, ['aside', 'look-round'], ['aside', 'look-round', 'two-straight'],
            ['aside', 'look-round'], [],
        ],
        'orbit' => [
            ['orbit', 'orbit-yourself'], 3, ['slide-and-pan', 'led-circle'], ['slide-and-pan', 'led-circle'],
            ['slide-and-pan', 'led-circle'], ['both_ways' => true, 'slow_too' => true, 'two_distances' => true],
        ],
        'finish' => [['orbit-finish'], 4, ['orbit'], ['orbit'], ['orbit'], []],
        'rising-orbit' => [
            ['climbing-orbit', 'spiral-orbit'], 4, ['orbit', 'rise-and-turn'], ['orbit', 'rise-and-turn'], ['orbit', 'rise-and-turn'],
            [],
        ],
        'beside' => [['side-track', 'follow'], 2, ['along', 'aside'], ['along', 'aside'], ['along', 'aside'], []],
        'with-the-subject' => [
            ['chase', 'overtake', 'lead', 'head-on', 'top-down-overtake'], 4, ['beside', 'reveals'], ['beside', 'reveals'],
            ['beside', 'reveals'], [],
        ],
        'from-above' => [
            ['top-down-travel', 'top-down-spin', 'top-down-helix', 'top-down-follow', 'top-down-hold'], 2, ['straight-down'],
            ['straight-down', 'two-straight'], ['straight-down', 'wheel'], [],
        ],
        'pull-away' => [
            ['pull-away'], 4, ['hold-by-wheel', 'along'], ['hold-by-wheel', 'two-straight'], ['hold-by-wheel', 'two-straight'],
            ['slow_too' => true],
        ],
        'from-high' => [['push-in-from-high', 'fly-over'], 4, ['pull-away'], ['pull-away'], ['pull-away'], []],
        'backward' => [
            ['backward-with-pan', 'curved-retreat'], 4, ['along', 'look-round', 'nose-in'], ['two-straight', 'nose-in'],
            ['along', 'look-round', 'nose-in'], [],
        ],
        'close' => [
            ['close-to-object', 'gap'], 4, ['nose-in', 'along'], ['nose-in', 'two-straight'], ['nose-in', 'along'],
            ['supervised' => true, 'sign_off' => true],
        ],
        'three-at-once' => [
            ['sink-to-horizon', 'rise-turn-tilt', 'back-rise-tilt', 'sink-turn-tilt'], 4, ['reveals', 'hold-by-wheel', 'rise-and-turn'],
            ['reveals', 'hold-by-wheel', 'rise-and-turn'], ['reveals', 'hold-by-wheel', 'rise-and-turn'], [],
        ],
        'everything' => [
            ['reveal-orbit', 'reveal-orbit-reversed', 'climbing-orbit-with-tilt', 'combination'], 5, ['rising-orbit', 'three-at-once'],
            ['rising-orbit', 'three-at-once'], ['rising-orbit', 'three-at-once'], ['of' => 5],
        ],
        'no-positioning' => [
            ['no-positioning'], 5, ['close', 'there-and-back'], ['close', 'there-and-back'], ['close', 'there-and-back'],
            ['passes' => 2, 'supervised' => true, 'sign_off' => true, 'score' => 70],
        ],
        'lean-for-pace' => [
            ['speed-by-pitch'], 3, ['hover'], ['hover'], ['hover'], ['kind' => 'either', 'score' => 75],
        ],
        'tour' => [
            ['indoor-tour'], 4, ['lean-for-pace', 'square'], ['lean-for-pace', 'square'], ['lean-for-pace', 'square'],
            ['supervised' => true, 'sign_off' => true, 'score' => 75],
        ],
    ];

    /** Whether a step is one of these. */
    public static function knows(string $id): bool
    {
        return isset(self::STEPS[$id]);
    }

    public static function of(string $order): Ladder
    {
        $column = match ($order) {
            self::FOUNDATION => 2,
            self::AXES => 3,
            self::CONTROLS => 4,
            default => throw new \LogicException("“{$order}” is no order."),
        };
        $steps = [];
        foreach (self::STEPS as $id => $step) {
            $own = $step[5];
            $steps[] = new Step($id, '', $step[0], $step[1], $step[$column], new Criterion(
                score: (float) ($own['score'] ?? 80), facets: $own['facets'] ?? [], passes: $own['passes'] ?? 3, of: $own['of'] ?? 4,
                bothWays: $own['both_ways'] ?? false, slowToo: $own['slow_too'] ?? false, twoDistances: $own['two_distances'] ?? false,
                without: ['ghost', 'ghost-fingers', 'slow-75', 'slow-50', 'stepped-back'], kind: $own['kind'] ?? Criterion::REAL,
                signOff: $own['sign_off'] ?? false,
            ), $own['supervised'] ?? false);
        }

        return new Ladder($steps);
    }
}
