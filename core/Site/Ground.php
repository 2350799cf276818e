<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * How the ground lies about take-off, from a few spot heights or one profile; heights in metres above the take-off point.
 *
 * Spot heights, with take-off itself among them, are met exactly: between them the weights fall with the square of the distance
 * (D. Shepard, Proc. 23rd ACM Nat. Conf. (1968) 517-524). A profile runs along a bearing and holds as far as one likes to either
 * side. Neither leaves the range of what was measured.
 */
final readonly class Ground
{
    /**
     * @param  list<array{float, float, float}>  $spots  east, north, height
     * @param  list<array{float, float}>  $profile  metres along the bearing, height; in order
     * @param  float  $bearing  of the profile, rad
     */
    private function __construct(
        public array $spots, private array $profile = [], private float $bearing = 0.0, private bool $simulated = false,
    ) {
    }

    /** @param  list<array{float, float, float}>  $spots */
    public static function ofSpots(array $spots, bool $simulated = false): self
    {
        return new self($spots, simulated: $simulated);
    }

    /** Reads {spots: [[east, north, up], …]} or {profile: [[along, up], …], bearing_deg}. */
    public static function read(Fields $fields): self
    {
        $bearing = $fields->numberOrNull('bearing_deg', -360, 360, 'degrees') ?? 0.0;
        if ($fields->has('profile')) {
            $profile = $fields->pairs('profile');
            if (count($profile) < 2) {
                throw new Refusal(
                    Fact::of('ground.one-point-profile'), $fields->place('profile'), Fact::of('ground.two-more-points-metres'),
                );
            }
            usort($profile, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

            return new self([], $profile, deg2rad($bearing), $fields->flag('simulated'));
        }
        $spots = [];
        foreach ($fields->groups('spots') as $spot) {
            $spots[] = [
                $spot->number('east_m', -20000, 20000, 'm'), $spot->number('north_m', -20000, 20000, 'm'),
                $spot->number('up_m', -2000, 2000, 'm'),
            ];
        }

        return new self($spots, simulated: $fields->flag('simulated'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $said = $this->simulated ? ['simulated' => true] : [];

        return $this->profile !== []
            ? ['profile' => $this->profile, 'bearing_deg' => round(rad2deg($this->bearing), 3), ...$said]
            : [
                'spots' => array_map(static fn (array $s): array => ['east_m' => $s[0], 'north_m' => $s[1], 'up_m' => $s[2]], $this->spots),
                ...$said,
            ];
    }

    /** Height of the ground at a place, m above take-off. */
    public function at(float $east, float $north): float
    {
        return $this->profile !== []
            ? $this->onProfile($east * sin($this->bearing) + $north * cos($this->bearing))
            : $this->betweenSpots($east, $north);
    }

    private function onProfile(float $along): float
    {
        $last = $this->profile[0];
        if ($along <= $last[0]) {
            return $last[1];
        }
        foreach ($this->profile as $point) {
            if ($along <= $point[0]) {
                $span = $point[0] - $last[0];

                return $span <= 0 ? $point[1] : $last[1] + ($point[1] - $last[1]) * ($along - $last[0]) / $span;
            }
            $last = $point;
        }

        return $last[1];
    }

    private function betweenSpots(float $east, float $north): float
    {
        $sum = $weights = 0.0;
        foreach ([[0.0, 0.0, 0.0], ...$this->spots] as [$e, $n, $up]) {
            $squared = ($east - $e) ** 2 + ($north - $n) ** 2;
            if ($squared < 1e-6) {
                return $up;
            }
            $sum += $up / $squared;
            $weights += 1 / $squared;
        }

        return $sum / $weights;
    }

    /** Height between two places where it is highest, m: sampled every 2 m. */
    public function highestBetween(float $east, float $north, float $toEast, float $toNorth): float
    {
        $steps = max(1, (int) ceil(hypot($toEast - $east, $toNorth - $north) / 2));
        $highest = -INF;
        for ($i = 0; $i <= $steps; $i++) {
            $highest = max($highest, $this->at($east + ($toEast - $east) * $i / $steps, $north + ($toNorth - $north) * $i / $steps));
        }

        return $highest;
    }
}
