<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Camera\RescueCrop;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Area;

/** What the edit can do with a take of this shot: handles, room to crop and to level, and whether it may be speeded up. */
final readonly class EditNotes
{
    /** Kept at each end for a crossfade, s (common practice, no published source). */
    public const HANDLE = 1.0;

    /** A roll that a gimbal is commonly off by, rad. */
    private const ROLL = 1.0 * Angle::DEGREE;

    /**
     * @param  float  $spare  seconds of the hold beyond use and handles; negative where it is too short
     * @param  float  $scale  recorded width over delivered width
     * @param  float  $level  scale that levelling the roll takes
     * @param  float  $roll  rad: what the rig’s gimbal is off by, or a degree where nobody looked
     * @param  float  $stray  greatest drift, as a share of the width, that can be recentred after levelling
     * @param  list<Fact>  $moving  what moves by itself in the picture
     */
    private function __construct(
        public float $hold, public float $use, public float $spare, public int $recorded, public int $delivered, public float $scale,
        public float $level, public float $stray, public float $roll, public array $moving,
    ) {
    }

    /** @param  int  $recorded  width of what the camera records, pixels */
    public static function of(Plan $plan, Brief $brief, int $recorded): self
    {
        $hold = $plan->move->holdTo - $plan->move->holdFrom;
        $scale = $recorded / $brief->delivered;
        // What this gimbal is known to be off by, where somebody looked: nothing is an answer.
        $roll = abs($plan->shot->rig->gimbal->offset ?? self::ROLL);
        $level = 1 / (1 - (RescueCrop::ofStray(0.0, $roll, $plan->shot->intent->lens->aspect)->level ?? 0.0));
        // Recentring a drift of x takes a scale of 1 / (1 - 2x); the scales multiply.
        $stray = max(0.0, (1 - $level / max(1e-6, $scale)) / 2);

        return new self(
            $hold, $brief->use, $hold - $brief->use - 2 * self::HANDLE, $recorded, $brief->delivered, $scale, $level, $stray, $roll,
            self::moving($plan),
        );
    }

    /** Pixels of width beyond those that are delivered, once the roll is levelled; negative where they are too few. */
    public function left(): int
    {
        return (int) floor($this->recorded / $this->level) - $this->delivered;
    }

    /** @return list<Fact> */
    private static function moving(Plan $plan): array
    {
        $moving = [];
        if ($plan->move->subject?->moves() === true) {
            $moving[] = Fact::of('edit.the-subject');
        }
        foreach ([0.1, 0.5, 0.9] as $share) {
            $index = $plan->move->flight->indexAt($plan->move->onset + $share * ($plan->move->stop - $plan->move->onset));
            $view = $plan->view($index);
            $seen = static fn (Position $place): bool => $view->project($place)?->isInside() === true;
            foreach ($plan->shot->site->solids as $solid) {
                $middle = $solid->body->middle();
                if (($solid->moves || $solid->shape === 'canopy') && ($seen($middle) || $seen($middle->plus(
                    0, 0, $solid->body->top() - $middle->up,
                )))) {
                    $moving[] = Fact::name($solid->name);
                }
            }
            foreach ($plan->shot->site->areas as $area) {
                if ($area->kind !== Area::BOUNDARY && array_filter($area->points, $seen) !== []) {
                    $moving[] = Fact::name($area->name);
                }
            }
        }

        return Fact::unique($moving);
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        return [
            $this->spare >= 0
                ? Fact::of(
                    'edit.hold-use-handle-each', hold: Quantity::seconds($this->hold), use: Quantity::seconds($this->use),
                    handle: Quantity::seconds(self::HANDLE), spare: Quantity::seconds($this->spare),
                )
                : Fact::of(
                    'edit.hold-too-few-use', hold: Quantity::seconds($this->hold), spare: Quantity::seconds(-$this->spare),
                    use: Quantity::seconds($this->use), handle: Quantity::seconds(self::HANDLE),
                ),
            match (true) {
                $this->scale < 1 => Fact::of('edit.recorded-pixels-wide-delivered', recorded: $this->recorded, delivered: $this->delivered),
                $this->stray <= 0 => Fact::of(
                    'edit.recorded-pixels-wide-room', recorded: $this->recorded, delivered: $this->delivered, level: $this->level,
                    roll: Quantity::degrees($this->roll / Angle::DEGREE),
                ),
                $this->roll <= 0 => Fact::of(
                    'edit.recorded-hangs-level', recorded: $this->recorded, delivered: $this->delivered,
                    stray: Quantity::share($this->stray),
                ),
                default => Fact::of(
                    'edit.recorded-pixels-wide-1', recorded: $this->recorded, delivered: $this->delivered, level: $this->level,
                    stray: Quantity::share($this->stray), roll: Quantity::degrees($this->roll / Angle::DEGREE),
                ),
            },
            $this->left() >= 0
                ? Fact::of('edit.pixels-left', left: $this->left(), delivered: $this->delivered)
                : Fact::of('edit.pixels-short', left: -$this->left(), delivered: $this->delivered),
            $this->moving === []
                ? Fact::of('edit.nothing-drawn-moves-itself')
                : Fact::of('edit.do-not-speed-up', moving: $this->moving),
        ];
    }
}
