<?php

declare(strict_types=1);

namespace Larkspur\Training\Group;

use Larkspur\Fact;
use Larkspur\Measure\Statistics;
use Larkspur\Measure\StudentT;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/**
 * Two cohorts beside each other in one measure, as far as so few people can say anything: the difference of their means with its interval
 * (Welch, Biometrika 34, 1947, 28: neither group need scatter like the other). What is compared are people, not takes: a hundred takes of
 * one person are one person. It says nothing about why they differ.
 */
final readonly class CohortComparison
{
    /** So sure is the interval. */
    public const SURE = 0.9;

    /** Fewer people than this scatter in no way that can be known. */
    public const FEWEST = 3;

    /**
     * @param  int  $one  people of it whose takes are enough to tell
     * @param  ?float  $difference  points, the one's mean less the other's; null where there are too few
     * @param  ?array{float, float}  $interval  of it
     */
    private function __construct(
        public string $measure, public int $one, public ?float $oneMean, public int $other, public ?float $otherMean,
        public ?float $difference, public ?array $interval,
    ) {
    }

    /**
     * Every measure that somebody of either can be seen in.
     *
     * @param  list<Member>  $one
     * @param  list<Member>  $other
     * @return list<self>
     */
    public static function each(array $one, array $other): array
    {
        $all = [];
        foreach (Measure::all() as $measure) {
            [$ours, $theirs] = [self::points($one, $measure), self::points($other, $measure)];
            if ($ours !== [] || $theirs !== []) {
                $all[] = self::between($measure, $ours, $theirs);
            }
        }

        return $all;
    }

    /**
     * @param  list<float>  $one  points of each person
     * @param  list<float>  $other
     */
    public static function between(string $measure, array $one, array $other): self
    {
        if (count($one) < self::FEWEST || count($other) < self::FEWEST) {
            return new self(
                $measure, count($one), $one === [] ? null : Statistics::mean($one), count($other),
                $other === [] ? null : Statistics::mean($other), null, null,
            );
        }
        [$a, $b] = [Statistics::mean($one), Statistics::mean($other)];
        [$va, $vb] = [self::varianceOfMean($one), self::varianceOfMean($other)];
        $spread = $va + $vb;
        $difference = $a - $b;
        if ($spread <= 0.0) {
            return new self($measure, count($one), $a, count($other), $b, $difference, [$difference, $difference]);
        }
        $freedom = $spread ** 2 / ($va ** 2 / (count($one) - 1) + $vb ** 2 / (count($other) - 1));
        $margin = StudentT::within(self::SURE, $freedom) * sqrt($spread);

        return new self($measure, count($one), $a, count($other), $b, $difference, [$difference - $margin, $difference + $margin]);
    }

    /** What may be said of it. */
    public function said(): Fact
    {
        if ($this->interval === null) {
            return Fact::of('cohorts.too-few', one: $this->one, other: $this->other, fewest: self::FEWEST);
        }

        return match (true) {
            $this->interval[0] > 0.0 => Fact::of('cohorts.first-is-ahead', least: max(0.0, $this->interval[0]), most: $this->interval[1]),
            $this->interval[1] < 0.0 => Fact::of('cohorts.second-is-ahead', least: -$this->interval[1], most: -$this->interval[0]),
            default => Fact::of('cohorts.cannot-be-told', low: $this->interval[0], high: $this->interval[1]),
        };
    }

    /**
     * @param  list<Member>  $members
     * @return list<float>
     */
    private static function points(array $members, string $measure): array
    {
        $points = [];
        foreach ($members as $member) {
            $standing = $member->standings[$measure] ?? null;
            if ($standing !== null && $standing->takes >= Standing::FEWEST) {
                $points[] = $standing->onScale();
            }
        }

        return $points;
    }

    /** @param  non-empty-list<float>  $points */
    private static function varianceOfMean(array $points): float
    {
        return Statistics::variance($points) / (count($points) - 1);
    }
}
