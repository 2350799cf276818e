<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

/** Where a handle is drawn: on the site sheet, on the side sheet, or on the thumb sheet. */
enum Sheet: string
{
    case Above = 'above';
    case Side = 'side';
    case Thumbs = 'thumbs';
}
