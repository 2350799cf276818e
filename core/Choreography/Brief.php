<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\ExposureWish;
use Larkspur\Fields;
use Larkspur\Site\Light;

/** What a shot is wanted for, beside its move: its light, how often it is flown, what is delivered of it, what is heard. */
final readonly class Brief
{
    /** A take is flown three or four times, for faults show on a large screen only (common practice, no published source). */
    public const PASSES = 4;

    /**
     * @param  string  $purpose  in the operator's words
     * @param  int  $delivered  width of the film that is delivered, pixels
     * @param  float  $use  seconds that the cut will use
     * @param  string  $sound  what to record on the ground for it
     * @param  ?string  $hidden  id of what must not be seen at the start
     * @param  Layers  $layers  between which its depth is to be
     * @param  ?ExposureWish  $exposure  what the camera is set for; null where nobody said
     * @param  value-of<SoundNote::WHEN>|null  $soundWhen  before the take, while it is flown, or after it; null where nobody said
     * @param  bool  $must  whether the day failed without it
     */
    public function __construct(
        public string $purpose = '',
        public Light $light = new Light,
        public int $passes = self::PASSES,
        public bool $must = false,
        public int $delivered = 1920,
        public float $use = 6.0,
        public string $sound = '',
        public ?string $hidden = null,
        public Layers $layers = new Layers,
        public ?ExposureWish $exposure = null,
        public ?string $soundWhen = null,
    ) {
    }

    public static function read(?Fields $fields): self
    {
        /** @var value-of<SoundNote::WHEN>|null $when */
        $when = $fields?->choiceOrNull('sound_when', SoundNote::WHEN);

        return $fields === null ? new self : new self(
            $fields->textOrNull('purpose') ?? '',
            Light::read($fields->groupOrNull('light')),
            (int) ($fields->numberOrNull('passes', 1, 20) ?? self::PASSES),
            $fields->flag('must'),
            (int) ($fields->numberOrNull('delivered_px', 320, 16384) ?? 1920),
            $fields->numberOrNull('use_s', 1, 120, 's') ?? 6.0,
            $fields->textOrNull('sound') ?? '',
            $fields->textOrNull('hidden'),
            Layers::read($fields->groupOrNull('layers')),
            $fields->has('exposure') ? ExposureWish::read($fields->group('exposure')) : null, $when,
        );
    }

    /**
     * @return array{
     *     purpose: string, light: array{side: string, hour: string}, passes: int, must: bool, delivered_px: int, use_s: float,
     *     sound: string, hidden: ?string, layers: array{near: ?string, far: ?string}, exposure?: array<string, mixed>,
     *     sound_when?: string,
     * }
     */
    public function toArray(): array
    {
        return [
            'purpose' => $this->purpose, 'light' => $this->light->toArray(), 'passes' => $this->passes, 'must' => $this->must,
            'delivered_px' => $this->delivered, 'use_s' => $this->use, 'sound' => $this->sound, 'hidden' => $this->hidden,
            'layers' => $this->layers->toArray(), ...$this->exposure === null ? [] : ['exposure' => $this->exposure->toArray()],
            ...$this->soundWhen === null ? [] : ['sound_when' => $this->soundWhen],
        ];
    }
}
