<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** What a quantity measures. SI units and radians inside; a share of 1 is said as 100 %. */
enum Dimension: string
{
    case Length = 'm';
    case Speed = 'm/s';
    case Acceleration = 'm/s2';
    case Angle = 'rad';
    case AngularRate = 'rad/s';
    case AngularAcceleration = 'rad/s2';
    /** A length of time, s. */
    case Time = 's';
    /** A moment on the clock of a recording or a log, s. */
    case Moment = 'moment';
    case Share = '1';
    case SharePerSecond = '1/s';
    case Points = 'points';
    case Temperature = 'C';
    /** How many times something happened. */
    case Times = 'times';
    /** A bare number that has no unit. */
    case Number = '';
}
