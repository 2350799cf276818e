<?php

declare(strict_types=1);

namespace Larkspur\Move;

/** A moment of a figure at which something is measured: a corner, a touchdown, a crossing, the close. */
final readonly class Mark
{
    public const CORNER = 'corner';

    public const HEADING = 'heading';

    public const TOUCHDOWN = 'touchdown';

    public const CROSSING = 'crossing';

    public const CLOSE = 'close';

    /**
     * @param  self::*  $kind
     * @param  float  $t  when the plan is there, s
     */
    public function __construct(public string $kind, public float $t)
    {
    }
}
