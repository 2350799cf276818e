<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Reading;

use Larkspur\Camera\RescueCrop;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Site\Area;

/** What the edit can do with a take of this shot: handles, room to crop and to level, and whether it may be speeded up. */
final readonly class EditReading
{
    /** Kept at each end for a crossfade, s (common practice, no published source). */
    public const HANDLE = 1.0;

    /** A roll that a gimbal is commonly off by, rad. */
    private const ROLL = 1.0 * Angle::DEGREE;

    /**
     * @param  float  $spare  seconds of the hold beyond use and handles; negative where it is too short
     * @param  float  $scale  recorded width over delivered width
     * @param  float  $level  scale that levelling 1 degree of roll takes
     * @param  float  $stray  greatest drift, as a share of the width, that can be recentred after levelling
     * @param  list<string>  $moving  what moves by itself in the picture
     */
    private function __construct(public float $hold, public float $use, public float $spare, public int $recorded, public int $delivered, public float $scale, public float $level, public float $stray, public array $moving)
    {
    }

    /** @param  int  $recorded  width of what the camera records, pixels */
    public static function of(Plan $plan, Brief $brief, int $recorded): self
    {
        $hold = $plan->move->holdTo - $plan->move->holdFrom;
        $scale = $recorded / $brief->delivered;
        $level = 1 / (1 - (RescueCrop::ofStray(0.0, self::ROLL, $plan->shot->intent->lens->aspect)->level ?? 0.0));
        // Recentring a drift of x takes a scale of 1 / (1 - 2x); the scales multiply.
        $stray = max(0.0, (1 - $level / max(1e-6, $scale)) / 2);

        return new self($hold, $brief->use, $hold - $brief->use - 2 * self::HANDLE, $recorded, $brief->delivered, $scale, $level, $stray, self::moving($plan));
    }

    /** @return list<string> */
    private static function moving(Plan $plan): array
    {
        $moving = [];
        if ($plan->move->subject?->moves() === true) {
            $moving[] = 'the subject';
        }
        foreach ([0.1, 0.5, 0.9] as $share) {
            $index = $plan->move->flight->indexAt($plan->move->onset + $share * ($plan->move->stop - $plan->move->onset));
            $view = $plan->view($index);
            $seen = static fn (Position $place): bool => $view->project($place)?->isInside() === true;
            foreach ($plan->shot->site->solids as $solid) {
                $middle = $solid->body->middle();
                if (($solid->moves || $solid->shape === 'canopy') && ($seen($middle) || $seen($middle->plus(0, 0, $solid->body->top() - $middle->up)))) {
                    $moving[] = $solid->name;
                }
            }
            foreach ($plan->shot->site->areas as $area) {
                if ($area->kind !== Area::BOUNDARY && array_filter($area->points, $seen) !== []) {
                    $moving[] = $area->name;
                }
            }
        }

        return array_values(array_unique($moving));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'hold_s' => round($this->hold, 1), 'use_s' => $this->use, 'handle_s' => self::HANDLE, 'spare_s' => round($this->spare, 1),
            'recorded_px' => $this->recorded, 'delivered_px' => $this->delivered, 'scale' => round($this->scale, 3), 'level_scale' => round($this->level, 3),
            'stray_percent' => round(100 * $this->stray, 1), 'speed_up' => $this->moving === [], 'moving' => $this->moving,
            'safe' => round(min(1.0, 1 / max(1.0, $this->scale)), 4),
            'sentences' => $this->sentences(),
        ];
    }

    /** @return list<string> */
    private function sentences(): array
    {
        return [
            $this->spare >= 0
                ? sprintf('%.1f s of hold for %.0f s of use and a handle of %.0f s at each end: %.1f s to spare.', $this->hold, $this->use, self::HANDLE, $this->spare)
                : sprintf('%.1f s of hold are %.1f too few for %.0f s of use and a handle of %.0f s at each end.', $this->hold, -$this->spare, $this->use, self::HANDLE),
            match (true) {
                $this->scale < 1 => sprintf('Recorded %d pixels wide, delivered %d: the picture has to be blown up.', $this->recorded, $this->delivered),
                $this->stray <= 0 => sprintf('Recorded %d pixels wide for %d: no room to level 1 degree of roll (that takes %.3f).', $this->recorded, $this->delivered, $this->level),
                default => sprintf('Recorded %d pixels wide for %d: 1 degree of roll can be levelled (%.3f) and a drift of %.0f %% of the width recentred, if the sticks were still.', $this->recorded, $this->delivered, $this->level, 100 * $this->stray),
            },
            $this->moving === []
                ? 'Nothing drawn here moves by itself: the edit may double the speed. Look for birds, grass and people first.'
                : sprintf('Do not speed it up in the edit: %s would betray it.', implode(', ', $this->moving)),
        ];
    }
}
