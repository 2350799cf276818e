<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

/** A moment of a figure at which something is measured: a corner, a touchdown, a crossing, the close, a seam, the end. */
final readonly class Mark
{
    public const CORNER = 'corner';

    public const HEADING = 'heading';

    public const TOUCHDOWN = 'touchdown';

    public const CROSSING = 'crossing';

    public const CLOSE = 'close';

    /** Where one part of a combination hands over to the next, and where its last picture is. */
    public const SEAM = 'seam';

    public const END = 'end';

    /**
     * @param  self::*  $kind
     * @param  float  $t  when the plan is there, s
     */
    public function __construct(public string $kind, public float $t)
    {
    }
}
