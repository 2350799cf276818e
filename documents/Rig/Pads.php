<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Controls\StickMode;

/** What each stick plays, across and up. */
final readonly class Pads implements Document
{
    /**
     * @param  array{string, string}  $left
     * @param  array{string, string}  $right
     */
    public function __construct(public array $left, public array $right)
    {
    }

    public static function of(StickMode $mode): self
    {
        ['left' => [$across, $up], 'right' => [$rightAcross, $rightUp]] = $mode->pads();

        return new self([$across->value, $up->value], [$rightAcross->value, $rightUp->value]);
    }
}
