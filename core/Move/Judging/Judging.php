<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

use Larkspur\Controls\Axis;
use Larkspur\Move\Intent;
use Larkspur\Move\Shape\Round;

/** How takes of a move are judged: the role of each axis, the kind of path, and the weights of the eight parts. */
final readonly class Judging
{
    /** Weights of the method's table (docs/scoring.md, section 5); a new move takes those of its nearest relative. */
    private const ORBIT = [
        'path' => 0.18, 'framing' => 0.24, 'steady' => 0.18, 'ease' => 0.14, 'smooth' => 0.14, 'clean' => 0.08, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const SPIRAL = [
        'path' => 0.16, 'framing' => 0.24, 'steady' => 0.20, 'ease' => 0.14, 'smooth' => 0.16, 'clean' => 0.06, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const DOLLY = [
        'path' => 0.12, 'framing' => 0.14, 'steady' => 0.30, 'ease' => 0.10, 'smooth' => 0.14, 'clean' => 0.16, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const HELD = [
        'path' => 0.10, 'framing' => 0.26, 'steady' => 0.20, 'ease' => 0.16, 'smooth' => 0.14, 'clean' => 0.10, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const REVEAL = [
        'path' => 0.10, 'framing' => 0.18, 'steady' => 0.24, 'ease' => 0.20, 'smooth' => 0.12, 'clean' => 0.12, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const TRACK = [
        'path' => 0.12, 'framing' => 0.28, 'steady' => 0.18, 'ease' => 0.12, 'smooth' => 0.14, 'clean' => 0.12, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    private const TOP_DOWN = [
        'path' => 0.14, 'framing' => 0.18, 'steady' => 0.24, 'ease' => 0.18, 'smooth' => 0.12, 'clean' => 0.10, 'pace' => 0.02,
        'completion' => 0.02,
    ];

    /**
     * @param  array<value-of<Axis>, Role>  $roles
     * @param array{
     *     path: float, framing: float, steady: float, ease: float, smooth: float, clean: float, pace: float, completion: float,
     * } $weights
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

    /**
     * Roles in the order travel, climb, turn, tilt, each by its letter: A held at a constant rate, C coupled, Z at rest,
     * P a planned profile.
     *
     * @return array<value-of<Axis>, Role>
     */
    public static function roles(string $letters): array
    {
        $roles = [];
        foreach (Axis::cases() as $i => $axis) {
            $roles[$axis->value] = match ($letters[$i] ?? 'Z') {
                'A' => Role::Steady,
                'C' => Role::Coupled,
                'P' => Role::Profile,
                default => Role::Still,
            };
        }

        return $roles;
    }

    /** A straight way, the heading kept. */
    public static function straight(Crossing $crossing, string $roles = 'AZZZ', bool $straightDown = false): self
    {
        return new self(PathKind::Line, self::roles($roles), self::DOLLY, Framed::Heading, $crossing, $straightDown);
    }

    /** A way whose craft turns as it goes: the arc of a circle of its own. */
    public static function bent(string $roles): self
    {
        return new self(PathKind::Arc, self::roles($roles), self::DOLLY, Framed::Sweep, Crossing::Turn);
    }

    /** A tilt that uncovers the picture, whatever moves beside it. */
    public static function reveal(string $roles, PathKind $path = PathKind::Line): self
    {
        return new self($path, self::roles($roles), self::REVEAL, Framed::Reveal, Crossing::Tilt);
    }

    /** A straight or upright way on which the tilt holds the subject. */
    public static function held(PathKind $path, string $roles, Crossing $crossing, Intent $intent): self
    {
        // A subject off the middle asks a breath of turn as its distance changes.
        $roles = abs($intent->u()) > 0.01 ? $roles[0].$roles[1].'C'.$roles[3] : $roles;

        return new self($path, self::roles($roles), self::HELD, Framed::Subject, $crossing);
    }

    /** Straight up or down, the heading kept or, where the turn moves too, swept. */
    public static function upright(string $roles): self
    {
        $turns = $roles[2] === 'A';

        return new self(
            PathKind::Vertical, self::roles($roles), self::HELD, $turns ? Framed::Sweep : Framed::Heading,
            $turns ? Crossing::Turn : Crossing::Upright,
        );
    }

    /** Nothing but the lens moves. */
    public static function onTheSpot(string $roles, Framed $framed, Crossing $crossing, bool $straightDown = false): self
    {
        return new self(PathKind::Spot, self::roles($roles), self::HELD, $framed, $crossing, $straightDown);
    }

    public static function orbit(): self
    {
        return new self(PathKind::Circle, self::roles('AZAZ'), self::ORBIT);
    }

    /** Round a subject with a climb or a change of radius; the tilt holds the subject. */
    public static function spiral(string $roles): self
    {
        return new self(PathKind::Circle, self::roles($roles), self::SPIRAL);
    }

    /** Beside a moving subject, or on its line. */
    public static function track(Crossing $crossing, string $roles = 'AZZZ', bool $straightDown = false): self
    {
        return new self(PathKind::Beside, self::roles($roles), self::TRACK, Framed::Subject, $crossing, $straightDown);
    }

    public static function topDown(PathKind $path, string $roles): self
    {
        return new self($path, self::roles($roles), self::TOP_DOWN, Framed::Subject, Crossing::Turn, true);
    }

    /** A figure of several legs, judged by measures of its own. */
    public static function figure(): self
    {
        return new self(PathKind::Figure, self::roles('ZZZZ'), self::DOLLY, Framed::Free);
    }

    /**
     * The same, where a log does not tell the heading or the tilt: what rests on them is not judged.
     *
     * @param  list<Axis>  $unknown
     */
    public function without(array $unknown): self
    {
        if ($unknown === []) {
            return $this;
        }
        $needed = match ($this->framed) {
            Framed::Subject => [Axis::Turn, Axis::Tilt, Axis::Climb],
            Framed::Heading, Framed::Sweep => [Axis::Turn],
            Framed::Reveal => [Axis::Tilt],
            Framed::Free => [],
        };

        return new self(
            $this->path,
            [...$this->roles, ...array_fill_keys(array_map(static fn (Axis $axis): string => $axis->value, $unknown), Role::Free)],
            $this->weights,
            array_intersect(array_column($needed, 'value'), array_column($unknown, 'value')) === [] ? $this->framed : Framed::Free,
            $this->crossing, $this->straightDown,
        );
    }

    /**
     * The same, where nobody says what is filmed: the frame and the axes that only follow it are not judged, and what would
     * be beside a moving subject is a straight way.
     */
    public function withoutSubject(): self
    {
        $roles = array_map(static fn (Role $role): Role => $role === Role::Coupled ? Role::Free : $role, $this->roles);

        return new self(
            $this->path === PathKind::Beside ? PathKind::Line : $this->path, $roles, $this->weights, Framed::Free, $this->crossing,
            $this->straightDown,
        );
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

    /** The axis that carries the move: its hold is the take's hold. Null where nothing moves. */
    public function primary(): ?Axis
    {
        return match ($this->path) {
            PathKind::Vertical => Axis::Climb,
            PathKind::Spot => $this->steady()[0] ?? null,
            PathKind::Figure => null,
            default => Axis::Travel,
        };
    }
}
