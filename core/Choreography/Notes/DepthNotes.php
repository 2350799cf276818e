<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Checks;
use Larkspur\Choreography\Layers;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\MovePlan;

/**
 * How deep a move looks: how fast near and far things cross the picture in the middle of the hold, and how fast the flight feels.
 *
 * The picture speed of a thing is the way of its projection within a short time: for a slide without turn that is v / Z, so two things
 * differ as their distances do; with a turn, what lies at the pivot stands still.
 */
final readonly class DepthNotes
{
    /** Half the time over which a picture speed is taken, in samples. */
    private const HALF = 5;

    /** Nothing in the picture lies farther than this as far as depth is concerned, m. */
    private const FAR = 3000.0;

    /** A layer that crosses less of the picture than this in a second stands still to the eye, widths. */
    private const STILL = 1e-3;

    /** Below this ratio of picture speeds there is little depth (our judgement: a "significant" gap is what practice asks for). */
    private const SIGNIFICANT = 3.0;

    /**
     * @param  ?array{name: Fact, distance: float, speed: float}  $near  metres, and picture widths a second
     * @param  ?array{name: Fact, distance: float, speed: float}  $far
     * @param  float  $felt  pace over height above ground, 1/s
     */
    private function __construct(
        public ?array $near,
        public ?array $far,
        public float $pace,
        public float $height,
        public float $felt,
        public float $crossing,
        private Layers $wanted,
    ) {
    }

    public static function of(Plan $plan): self
    {
        $move = $plan->move;
        $flight = $move->flight;
        $at = $flight->indexAt(($move->holdFrom + $move->holdTo) / 2);
        $at = max(self::HALF, min($flight->count() - 1 - self::HALF, $at));
        $view = $plan->view($at);
        $layers = [];
        foreach ($plan->shot->site->solids as $k => $solid) {
            $middle = $solid->body->middle();
            $place = $middle->plus(0, 0, ($solid->body->top() - $middle->up) / 2);
            $mark = $view->project($place);
            if ($mark !== null && $mark->isInside() && $solid->shape !== 'wire') {
                $layers[$solid->id === '' ? "no. $k" : $solid->id] = [
                    'name' => Fact::name($solid->name), 'distance' => $mark->depth, 'speed' => self::speed($plan, $at, $place),
                ];
            }
        }
        // The ground that the lower edge sees is a layer too, and so is the horizon.
        $ground = SiteChecks::ground($plan->shot, $move, $view->position);
        $above = $view->position->up - $ground;
        $down = -$view->tilt + $plan->shot->intent->lens->vertical() / 2;
        if ($above > 0.5 && $down > 2 * Angle::DEGREE) {
            $away = $down >= M_PI_2 ? 0.0 : $above / tan($down);
            $place = new Position(
                $view->position->east + $away * sin($view->heading), $view->position->north + $away * cos($view->heading), $ground,
            );
            $layers[Layers::GROUND] = [
                'name' => Fact::of('depth.ground-lower-edge'), 'distance' => hypot($away, $above),
                'speed' => self::speed($plan, $at, $place),
            ];
        }
        if (abs($view->horizon()) <= 0.5) {
            $place = new Position(
                $view->position->east + self::FAR * sin($view->heading), $view->position->north + self::FAR * cos($view->heading),
                $view->position->up,
            );
            $layers[Layers::HORIZON] = [
                'name' => Fact::of('depth.the-horizon'), 'distance' => self::FAR, 'speed' => self::speed($plan, $at, $place),
            ];
        }
        uasort($layers, static fn (array $a, array $b): int => $a['distance'] <=> $b['distance']);
        $wanted = $plan->shot->layers;
        $ids = array_keys($layers);
        // What is chosen is looked for in the picture; what is left open is its nearest and its farthest.
        $near = $wanted->empty() ? null : $layers[$wanted->near ?? $ids[0] ?? ''] ?? null;
        $far = $wanted->empty() ? null : $layers[$wanted->far ?? $ids[count($ids) - 1] ?? ''] ?? null;
        $far = $near === $far ? null : $far;
        $way = $flight->position($at + self::HALF)->minus($flight->position($at - self::HALF));
        $pace = $way->length() / (2 * self::HALF * MovePlan::STEP);

        return new self(
            $near, $far, $pace, $above, $above > 0.1 ? $pace / $above : 0.0, Checks::crossingSeconds($plan->shot, $move), $wanted,
        );
    }

    /** Widths of the picture a second that a still place crosses. */
    private static function speed(Plan $plan, int $at, Position $place): float
    {
        $before = $plan->view($at - self::HALF)->project($place);
        $after = $plan->view($at + self::HALF)->project($place);
        if ($before === null || $after === null) {
            return 0.0;
        }

        return hypot(
            $after->u - $before->u, ($after->v - $before->v) / $plan->shot->intent->lens->aspect,
        ) / (2 * self::HALF * MovePlan::STEP);
    }

    /** Picture speed of the near layer over that of the far one; null where one of them is missing or stands still. */
    public function ratio(): ?float
    {
        return $this->near === null || $this->far === null || $this->far['speed'] < self::STILL
            ? null
            : $this->near['speed'] / $this->far['speed'];
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        $out = [];
        $ratio = $this->ratio();
        if ($this->wanted->empty()) {
            $out[] = Fact::of('depth.emptiness-is-meant');
        } elseif ($this->near === null || $this->far === null) {
            $chosen = $this->wanted->near !== null || $this->wanted->far !== null;
            $out[] = Fact::of($chosen ? 'depth.chosen-not-in-picture' : 'depth.only-one-layer-stands');
        } else {
            $out[] = Fact::of(
                'depth.near-width-second-far', name: $this->near['name'], distance: Quantity::metres($this->near['distance']),
                speed: Quantity::share($this->near['speed']), farther: $this->far['name'],
                fartherSpeed: Quantity::share($this->far['speed']),
            );
            $out[] = match (true) {
                $ratio === null => Fact::of('depth.far-layer-stands-still'),
                $ratio < 1 => Fact::of('depth.far-layer-moves-times', ratio: 1 / max(1e-6, $ratio)),
                $ratio < self::SIGNIFICANT => Fact::of('depth.near-layer-moves-times', ratio: $ratio),
                default => Fact::of('depth.near-layer-moves-times-2', ratio: $ratio),
            };
        }
        $out[] = Fact::of(
            'depth.feels-like-eye-level', pace: Quantity::metresPerSecond($this->pace), height: Quantity::metres($this->height),
            felt: Quantity::metresPerSecond($this->felt * 1.6),
        );
        if ($this->height > 1.0 && $this->pace > 0.1) {
            $out[] = Fact::of(
                'depth.feels-at-another-height', lower: Quantity::metres($this->height / 2), higher: Quantity::metres(2 * $this->height),
            );
        }
        $out[] = $this->crossing <= Checks::STANDS
            ? Fact::of(
                'depth.what-stands-still-crosses', crossing: Quantity::seconds($this->crossing),
                rule: Quantity::seconds(Checks::CROSSING),
            )
            : Fact::of('depth.picture-does-not-pan');
        if ($this->near !== null && $this->far !== null && $this->near['distance'] > 1) {
            // A lens of twice the length keeps the subject's size from twice as far: every distance grows by what is backed off.
            $more = $this->near['distance'];
            $out[] = Fact::of(
                'depth.lens-twice-long-much', distance: $this->far['distance'] / $this->near['distance'],
                more: ($this->far['distance'] + $more) / ($this->near['distance'] + $more),
            );
        }

        return $out;
    }
}
