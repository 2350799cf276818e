<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Camera\CraftCamera;

/** What a camera can be set to. */
final readonly class ExposureCamera implements Document
{
    /**
     * @param  list<float>  $frameRates
     * @param  list<float>  $apertures
     */
    public function __construct(public array $frameRates, public array $apertures)
    {
    }

    public static function of(CraftCamera $camera): self
    {
        return new self($camera->frameRates, $camera->apertures);
    }
}
