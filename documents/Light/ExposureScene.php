<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Camera\Scene;
use Larkspur\Fact;

/** An estimate of a scene's light, for whoever has no meter. */
final readonly class ExposureScene implements Document
{
    public function __construct(public string $id, public Fact $name, public float $ev, public int $kelvin)
    {
    }

    public static function of(Scene $scene): self
    {
        return new self($scene->value, $scene->words(), $scene->value(), $scene->kelvin());
    }
}
