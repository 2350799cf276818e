<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fields;

/**
 * Between which two layers the depth of a shot is to be: a thing of the site by its id, the ground or the horizon. Left open, the picture
 * has its nearest and its farthest; none is a choice too, where emptiness is meant.
 */
final readonly class Layers
{
    public const NONE = 'none';

    public const GROUND = 'ground';

    public const HORIZON = 'horizon';

    public function __construct(public ?string $near = null, public ?string $far = null)
    {
    }

    public static function read(?Fields $fields): self
    {
        return new self($fields?->textOrNull('near'), $fields?->textOrNull('far'));
    }

    /** Whether no foreground is meant. */
    public function empty(): bool
    {
        return $this->near === self::NONE || $this->far === self::NONE;
    }

    /** @return array{near: ?string, far: ?string} */
    public function toArray(): array
    {
        return ['near' => $this->near, 'far' => $this->far];
    }
}
