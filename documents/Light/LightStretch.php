<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Choreography\Notes\MixedLight;
use Larkspur\Fact;
use Larkspur\Site\SunDay;

/** A stretch of a day in which what a shot films lies in the sun, in shade, or passes from one into the other. */
final readonly class LightStretch implements Document
{
    /** @param  'sun'|'shade'|'mixed'  $state */
    public function __construct(public string $from, public string $to, public string $state, public Fact $sentence)
    {
    }

    /** @param  array{from: float, to: float, light: MixedLight}  $stretch  s since 1970 */
    public static function of(array $stretch): self
    {
        return new self(
            SunDay::written($stretch['from']), SunDay::written($stretch['to']), $stretch['light']->state, $stretch['light']->sentence(),
        );
    }
}
