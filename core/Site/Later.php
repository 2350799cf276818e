<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Closure;
use Larkspur\Geo\Position;

/**
 * A body of many corners that was read and found right before: where it is and how far it reaches is known from what stands beside its
 * outline,
 * and the outline itself is read only when somebody comes near enough to ask.
 */
final class Later implements Body
{
    private ?Body $body = null;

    /**
     * @param  float  $reach  m; no less than the body's own
     * @param  Closure(): Body  $read
     */
    public function __construct(
        private readonly Position $middle, private readonly float $reach, private readonly float $top, private readonly Closure $read,
    ) {
    }

    public function distance(Position $point): float
    {
        return $this->body()->distance($point);
    }

    public function stands(Position $eye, Position $point): bool
    {
        return $this->body()->stands($eye, $point);
    }

    public function top(): float
    {
        return $this->top;
    }

    public function middle(): Position
    {
        return $this->middle;
    }

    public function reach(): float
    {
        return $this->reach;
    }

    public function corners(): array
    {
        return $this->body()->corners();
    }

    public function edges(): array
    {
        return $this->body()->edges();
    }

    public function about(): array
    {
        return $this->body()->about();
    }

    private function body(): Body
    {
        return $this->body ??= ($this->read)();
    }
}
