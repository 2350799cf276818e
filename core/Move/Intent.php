<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Camera\Lens;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/**
 * What a take was meant to be: the move, its subject and wanted place in the frame, the lens, and the parameters
 * that were fixed beforehand (schema "larkspur/intent/1", docs/formats.md).
 */
final readonly class Intent
{
    public const SCHEMA = 'larkspur/intent/1';

    /**
     * @param  ?GeoPoint  $subject  the aimed-at point
     * @param  ?float  $subjectBase  height of the subject's foot in the same datum, m; the aimed-at point's where unknown
     * @param  float  $aimX  wanted place in the frame, fraction from the left
     * @param  float  $aimY  fraction from the top
     * @param  ?GeoPoint  $home  take-off point, where heights in the log are relative to it
     * @param  array<string, float|string>  $parameters  SI units and degrees, by parameter id
     * @param  list<array{move: string, parameters: array<string, float|string>}>  $parts  of a combination, in order
     * @param  'sequence'|'together'  $join  how its parts are joined
     * @param  list<array{t: float, at: GeoPoint}>  $track  where a subject that moves is at which second; its first point is $subject
     * @param  string  $subjectCue  what it sets off at, in somebody's words; empty where a call is all
     */
    public function __construct(
        public string $move,
        public ?GeoPoint $subject,
        public ?float $subjectBase,
        public float $aimX,
        public float $aimY,
        public Lens $lens,
        public ?GeoPoint $home,
        public array $parameters,
        public array $track = [],
        public array $parts = [],
        public string $join = Combination::SEQUENCE,
        public string $subjectCue = '',
    ) {
    }

    public static function read(Fields $fields): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('intent.file-says', schema: $schema), $fields->place('schema'), Fact::of('intent.text', schema: self::SCHEMA),
            );
        }
        $move = Catalogue::move($fields->text('move'), $fields->place('move'));
        $subject = $fields->groupOrNull('subject');
        $track = $subject !== null && $subject->has('track') ? self::track($subject) : [];
        $aim = $fields->groupOrNull('aim');
        $home = $fields->groupOrNull('home');

        return new self(
            $move->about()->id,
            $track === [] ? ($subject === null ? null : GeoPoint::read($subject)) : $track[0]['at'],
            $subject?->numberOrNull('base_alt_m', -500, 9000, 'm'),
            $aim?->numberOrNull('x', 0, 1) ?? 0.5,
            $aim?->numberOrNull('y', 0, 1) ?? 0.5,
            Lens::read($fields->groupOrNull('camera')),
            $home === null ? null : GeoPoint::read($home),
            Parameter::readAll($move->parameters(), $fields->groupOrNull('parameters') ?? Fields::of([])),
            $track,
            array_map(self::part(...), $fields->groups('parts')),
            $fields->choiceOrNull('join', [Combination::SEQUENCE, Combination::TOGETHER]) === Combination::TOGETHER
                ? Combination::TOGETHER
                : Combination::SEQUENCE,
            mb_substr($subject?->textOrNull('cue') ?? '', 0, 120),
        );
    }

    /** @return array{move: string, parameters: array<string, float|string>} */
    private static function part(Fields $fields): array
    {
        $move = Catalogue::move($fields->text('move'), $fields->place('move'));

        return [
            'move' => $move->about()->id,
            'parameters' => Parameter::readAll($move->parameters(), $fields->groupOrNull('parameters') ?? Fields::of([])),
        ];
    }

    /** @return non-empty-list<array{t: float, at: GeoPoint}> */
    private static function track(Fields $subject): array
    {
        $track = [];
        foreach ($subject->groups('track') as $point) {
            $t = $point->number('t', -1e6, 1e7, 's');
            if ($track !== [] && $t <= $track[count($track) - 1]['t']) {
                throw new Refusal(
                    Fact::of('intent.track-goes-back-time', t: Fields::written($t)), $point->place('t'),
                    Fact::of('intent.seconds-rise-point-point'),
                );
            }
            $track[] = ['t' => $t, 'at' => GeoPoint::read($point)];
        }

        return count($track) >= 2 ? $track : throw new Refusal(
            Fact::of('intent.track-fewer-two-points'), $subject->place('track'), Fact::of('intent.least-two'),
        );
    }

    /** The subject in a local frame: where it stands, or where it is when; null where the intent has none. */
    public function filmed(LocalFrame $frame): ?MovingPoint
    {
        if ($this->track !== []) {
            return MovingPoint::track(array_column($this->track, 't'), array_map($frame->position(...), array_column($this->track, 'at')));
        }

        return $this->subject === null ? null : MovingPoint::still($frame->position($this->subject));
    }

    /** Wanted place to the right of the frame's centre, in fractions of its width. */
    public function u(): float
    {
        return $this->aimX - 0.5;
    }

    /** Wanted place above the centre, in fractions of the height. */
    public function v(): float
    {
        return 0.5 - $this->aimY;
    }

    public function number(string $parameter): ?float
    {
        $value = $this->parameters[$parameter] ?? null;

        return is_float($value) ? $value : null;
    }

    public function choice(string $parameter): ?string
    {
        $value = $this->parameters[$parameter] ?? null;

        return is_string($value) ? $value : null;
    }

    /** Which of its two ways it goes: clockwise or counterclockwise, left or right by its side or its turn; empty where it has none. */
    public function way(): string
    {
        return $this->choice('direction') ?? $this->choice('side') ?? match (($this->number('turn_deg') ?? 0.0) <=> 0.0) {
            1 => 'right', -1 => 'left', default => '',
        };
    }

    /** An angle or a rate of turn that is stated in degrees, in radians. */
    public function angle(string $parameter): ?float
    {
        $degrees = $this->number($parameter);

        return $degrees === null ? null : $degrees * Angle::DEGREE;
    }

    /** The same intent of another subject, at rest. */
    public function filming(GeoPoint $subject): self
    {
        return new self(
            $this->move, $subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home, $this->parameters, [],
            $this->parts, $this->join,
        );
    }

    /** The same about another place, or about none; a track is left out. */
    public function about(?GeoPoint $subject, ?float $base): self
    {
        return new self(
            $this->move, $subject, $base, $this->aimX, $this->aimY, $this->lens, $this->home, $this->parameters, [], $this->parts,
            $this->join,
        );
    }

    /** @param  array<string, float|string>  $parameters  by id; those of a part of a combination as "parts.1.pace_mps" */
    public function with(array $parameters): self
    {
        $own = $this->parameters;
        $parts = $this->parts;
        foreach ($parameters as $id => $value) {
            if (preg_match('/^parts\.(\d)\.(.+)$/', $id, $named) !== 1) {
                $own[$id] = $value;
            } elseif (isset($parts[(int) $named[1]])) {
                $parts[(int) $named[1]]['parameters'][$named[2]] = $value;
            }
        }

        return new self(
            $this->move, $this->subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home, $own, $this->track, $parts,
            $this->join, $this->subjectCue,
        );
    }

    /**
     * One move of a combination as an intent of its own.
     *
     * @param  array<string, float|string>  $parameters
     */
    public function asPart(string $move, array $parameters): self
    {
        return new self(
            $move, $this->subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home, $parameters, $this->track,
            subjectCue: $this->subjectCue,
        );
    }

    /**
     * Several moves of the same subject, one after another.
     *
     * @param  list<array{move: string, parameters: array<string, float|string>}>  $parts
     */
    public function joining(array $parts): self
    {
        return new self(
            'combination', $this->subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home, [], $this->track, $parts,
            subjectCue: $this->subjectCue,
        );
    }

    /** The same intent with a subject that moves: sampled each tenth of a second between two times. */
    public function following(MovingPoint $point, LocalFrame $frame, float $from, float $to): self
    {
        $track = [];
        for ($k = 0, $n = (int) ceil(($to - $from) / 0.1); $k <= $n; $k++) {
            $track[] = ['t' => round($from + 0.1 * $k, 3), 'at' => $frame->geoPoint($point->at($from + 0.1 * $k))];
        }

        return new self(
            $this->move, $track[0]['at'], $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home, $this->parameters, $track,
            $this->parts, $this->join, $this->subjectCue,
        );
    }

    /** The same move of the same subject, with nothing said of how far it goes. */
    public function stretch(): self
    {
        return new self(
            $this->move, $this->subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home,
            array_filter($this->parameters, is_string(...)), $this->track, subjectCue: $this->subjectCue,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'schema' => self::SCHEMA,
            'move' => $this->move,
            'subject' => $this->subject === null ? null : array_filter(
                [
                    ...$this->track === [] ? $this->subject->toArray() : ['track' => array_map(
                        static fn (array $point): array => ['t' => $point['t'], ...$point['at']->toArray()], $this->track,
                    )],
                    'base_alt_m' => $this->subjectBase, 'cue' => $this->subjectCue === '' ? null : $this->subjectCue,
                ],
                static fn (mixed $value): bool => $value !== null,
            ),
            'aim' => ['x' => $this->aimX, 'y' => $this->aimY],
            'camera' => $this->lens->assumed ? null : $this->lens->toArray(),
            'home' => $this->home?->toArray(),
            // None is written as an empty object, never as an empty list.
            'parameters' => $this->parameters === [] ? new \stdClass : $this->parameters,
            'join' => $this->parts === [] ? null : $this->join,
            'parts' => $this->parts === [] ? null : array_map(
                static fn (array $part): array => [
                    ...$part, 'parameters' => $part['parameters'] === [] ? new \stdClass : $part['parameters'],
                ],
                $this->parts,
            ),
        ], static fn (mixed $value): bool => $value !== null);
    }
}
