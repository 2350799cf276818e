<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Camera\Lens;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
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
    ) {
    }

    public static function read(Fields $fields): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(sprintf('This file says it is “%s”.', $schema), $fields->place('schema'), '“'.self::SCHEMA.'”');
        }
        $move = Catalogue::move($fields->text('move'), $fields->place('move'));
        $subject = $fields->groupOrNull('subject');
        $aim = $fields->groupOrNull('aim');
        $home = $fields->groupOrNull('home');

        return new self(
            $move->id(),
            $subject === null ? null : GeoPoint::read($subject),
            $subject?->numberOrNull('base_alt_m', -500, 9000, 'm'),
            $aim?->numberOrNull('x', 0, 1) ?? 0.5,
            $aim?->numberOrNull('y', 0, 1) ?? 0.5,
            Lens::read($fields->groupOrNull('camera')),
            $home === null ? null : GeoPoint::read($home),
            Parameter::readAll($move->parameters(), $fields->groupOrNull('parameters') ?? Fields::of([])),
        );
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

    /** @param  array<string, float|string>  $parameters */
    public function with(array $parameters): self
    {
        return new self(
            $this->move, $this->subject, $this->subjectBase, $this->aimX, $this->aimY, $this->lens, $this->home,
            [...$this->parameters, ...$parameters],
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'schema' => self::SCHEMA,
            'move' => $this->move,
            'subject' => $this->subject === null ? null : array_filter(
                [...$this->subject->toArray(), 'base_alt_m' => $this->subjectBase],
                static fn (?float $value): bool => $value !== null,
            ),
            'aim' => ['x' => $this->aimX, 'y' => $this->aimY],
            'camera' => $this->lens->assumed ? null : $this->lens->toArray(),
            'home' => $this->home?->toArray(),
            'parameters' => $this->parameters,
        ], static fn (mixed $value): bool => $value !== null);
    }
}
