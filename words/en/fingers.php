<?php

/** English, axes, fingers and the ends of their travel. */

declare(strict_types=1);

return [
    'axis.climb' => 'climb',
    'axis.turn' => 'turn',
    'axis.run' => 'run',
    'axis.slide' => 'slide',
    'axis.tilt' => 'tilt',
    'axis.travel' => 'travel',
    'axis.picture' => 'picture',
    'axis.all' => 'all fingers',

    'end.climb.0' => 'down',
    'end.climb.1' => 'up',
    'end.turn.0' => 'left',
    'end.turn.1' => 'right',
    'end.run.0' => 'back',
    'end.run.1' => 'ahead',
    'end.slide.0' => 'left',
    'end.slide.1' => 'right',
    'end.tilt.0' => 'down',
    'end.tilt.1' => 'up',

    'thumb.left' => 'left thumb',
    'thumb.right' => 'right thumb',
    'thumb.wheel' => 'index finger',
    'thumb.left.up' => 'Left thumb, up',
    'thumb.left.side' => 'Left thumb, side',
    'thumb.right.up' => 'Right thumb, up',
    'thumb.right.side' => 'Right thumb, side',
    'thumb.wheel.up' => 'Index finger',

    'mode.slow' => 'slow',
    'mode.standard' => 'standard',
    'mode.fast' => 'fast',
];
