<?php

declare(strict_types=1);

namespace Larkspur\Move;

/** How takes of a move are judged: the role of each axis, the kind of path, and the weights of the eight parts. */
final readonly class Judging
{
    /**
     * @param  array<value-of<Axis>, Role>  $roles
     * @param  array{path: float, framing: float, steady: float, ease: float, smooth: float, clean: float, pace: float, completion: float}  $weights
     * @param  bool  $straightDown  whether the lens looks straight down, where a turn only spins the picture
     */
    public function __construct(
        public PathKind $path,
        public array $roles,
        public array $weights,
        public Framed $framed = Framed::Subject,
        public Crossing $crossing = Crossing::Turn,
        public bool $straightDown = false,
    ) {
    }

    public function hasSubject(): bool
    {
        return $this->framed === Framed::Subject;
    }

    public function role(Axis $axis): Role
    {
        return $this->roles[$axis->value];
    }

    /**
     * Axes that are held at a constant rate, in the order travel, climb, turn, tilt.
     *
     * @return list<Axis>
     */
    public function steady(): array
    {
        return array_values(array_filter(Axis::cases(), fn (Axis $axis): bool => $this->role($axis) === Role::Steady));
    }

    /** The axis that carries the move: its hold is the take's hold. */
    public function primary(): Axis
    {
        return $this->path === PathKind::Vertical ? Axis::Climb : Axis::Travel;
    }
}
