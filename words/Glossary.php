<?php

declare(strict_types=1);

namespace Words;

/** The trade's words that mean two or three things, each with its meanings and the one in which Larkspur uses it (common practice). */
final class Glossary
{
    /** @var array<string, array{meanings: list<string>, ours: string}> */
    private const WORDS = [
        'inverted' => [
            'meanings' => ['Flown nose-in, the lens toward the pilot, so that left and right seem to have changed places.', 'Upside down, which only small ducted craft fly, in freestyle.'],
            'ours' => 'We say nose-in. Nothing here is flown upside down.',
        ],
        'circle' => [
            'meanings' => ['Round with a fixed heading, on the right stick alone.', 'A coordinated turn: ahead and turning, the nose along the way.', 'An orbit: sideways and turning against it, the nose to the middle.'],
            'ours' => 'Circle, heading kept; coordinated circle; orbit. Never “circle” alone.',
        ],
        'jib, crane' => [
            'meanings' => ['Straight up or down.', 'Sideways and up or down at once.', 'Up or down with the tilt against it.'],
            'ours' => 'Rise and sink; sideways crane; lift with tilt and drop with tilt.',
        ],
        'pan' => [
            'meanings' => ['Turning the craft about its own axis.', 'Tilting the lens.'],
            'ours' => 'Pan is the picture turning sideways; the finger that does it is turn. Tilt is tilt.',
        ],
        'parallax' => [
            'meanings' => ['Near things moving faster through the frame than far ones.', 'An orbit, or part of one.'],
            'ours' => 'Depth is the effect. The move is an orbit, or a slide with pan.',
        ],
        'zoom, from above' => [
            'meanings' => ['The lens itself zooming.', 'Sinking toward the ground with the lens straight down.'],
            'ours' => 'Zoom is the lens. The other is a sink, top-down.',
        ],
        'pitch' => [
            'meanings' => ['The tilt of the camera.', 'The nose-down attitude of the craft that gives it speed.'],
            'ours' => 'Tilt is the camera’s. Pitch is the craft’s, and only said of ducted craft.',
        ],
        'o’clock' => [
            'meanings' => ['Where a stick is pushed: twelve, three, six and nine are pure axes.', 'Which way the craft heads: ten to two.'],
            'ours' => 'Only of sticks. Headings are degrees.',
        ],
        'S-curve' => [
            'meanings' => ['The sharp curve of a high number.', 'The curve with a soft centre of a low number.'],
            'ours' => 'We draw the curve and say soft or sharp about the centre.',
        ],
        'gain' => [
            'meanings' => ['How hard the craft holds against wind.', 'How quickly it answers the sticks.'],
            'ours' => 'Answer is one, hold against wind the other.',
        ],
        'the reveal' => [
            'meanings' => [
                'The lens comes down onto a thing that lay hidden below.', 'The lens comes up from the ground to the horizon.',
                'The craft comes over, round or through something.',
            ],
            'ours' => 'Each has its name: over the edge, ground to horizon, round the side, through the gap.',
        ],
        'wheel up' => [
            'meanings' => ['Pushing the wheel looks up.', 'Pulling the wheel looks up.', 'Left is down and right is up.'],
            'ours' => 'Your own setting says which. The stave’s upper end always looks up.',
        ],
        'the tilt read-out' => [
            'meanings' => ['Unsigned: 90 is straight down.', 'Signed: -90 is straight down.'],
            'ours' => 'Level is 0, negative looks down.',
        ],
        'minus seven' => [
            'meanings' => ['Exposure compensation of -0.7.', 'Of -7, which no camera has.'],
            'ours' => 'We write -0.7 EV.',
        ],
    ];

    /** @return list<array{word: string, meanings: list<string>, ours: string}> */
    public static function all(): array
    {
        $all = [];
        foreach (self::WORDS as $word => ['meanings' => $meanings, 'ours' => $ours]) {
            $all[] = ['word' => $word, 'meanings' => $meanings, 'ours' => $ours];
        }

        return $all;
    }
}
