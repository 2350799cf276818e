<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\Composition;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;
use Larkspur\Site\Area;
use Larkspur\Site\Solid;

/**
 * A shot worked out from the picture it is to end in (or begin with): how much of the height the subject fills, where the horizon lies, how
 * long the hold lasts, and what must not be seen at the start. What is solved for is the move's own distance, height, tilt and pace.
 *
 * The lens' place comes in closed form (Camera\Composition). Which parameters bring the move there is found by planning it and putting
 * right what is off, a few times: distance and height enter every move's end one to one.
 */
final readonly class WantedPicture
{
    private const ROUNDS = 8;

    /** No move begins nearer to its subject, or lower, m. */
    private const NEAREST = 4.0;

    private const LOWEST = 0.5;

    /** What parameters are worked out to, in their own units. */
    private const FINE = 0.001;

    /** Near enough, m and s. */
    private const CLOSE = 0.02;

    /** Steepest first tilt tried to keep something out of the first frame, degrees. */
    private const STEEPEST = -85.0;

    /**
     * @param  'start'|'end'  $at  of which the picture is
     * @param  float  $tall  height of the subject, m
     * @param  float  $fills  share of the frame's height
     * @param  float  $horizon  place of the horizon, from the top
     * @param  ?float  $hold  wanted length of the hold, s
     * @param  ?float  $height  wanted height of the lens above the subject’s foot, m: the horizon then follows from the tilt
     * @param  ?string  $hidden  id of a solid or an area that must not be seen at the start; 'sea' stands for all water
     */
    public function __construct(
        public string $at, public float $tall, public float $fills, public float $horizon, public ?float $hold = null,
        public ?string $hidden = null, public ?float $height = null,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->choiceOrNull('at', ['start', 'end']) === 'start' ? 'start' : 'end',
            $fields->number('subject_m', 0.1, 500, 'm'), $fields->number('fills', 0.01, 0.95),
            $fields->numberOrNull('horizon_y', -1, 2) ?? 1 / 3,
            $fields->numberOrNull('hold_s', 2, 120, 's'), $fields->textOrNull('hidden'), $fields->numberOrNull('height_m', 0, 500, 'm'),
        );
    }

    /**
     * @throws Refusal where no such picture can be taken, or the move has nothing to set it with
     */
    public function solve(Shot $shot): FoundPicture
    {
        $lens = $shot->intent->lens;
        $wanted = $this->height === null
            ? Composition::withHorizon($lens, $this->tall, $this->fills, 0.0, 0.5 - $this->horizon)
            : Composition::fromHeight($lens, $this->tall, $this->fills, 0.0, $this->height);
        $notes = [];
        $plan = $before = Planner::plan($shot);
        $has = static fn (string $id): bool => isset($plan->move->intent->parameters[$id]);
        $away = $has('radius_m') ? 'radius_m' : ($has('distance_m') ? 'distance_m' : null);
        if ($away === null || $plan->move->subject === null) {
            throw new Refusal(
                Fact::of('wanted-picture.move-distance-subject-set'), 'move', Fact::of('wanted-picture.move-goes-round-toward'),
            );
        }
        $own = [];
        $reached = [0.0, 0.0, 0.0];
        for ($k = 0; $k < self::ROUNDS; $k++) {
            $reached = self::reached($plan, $this->at);
            $now = $plan->move->intent;
            $next = [];
            $off = $wanted->distance - $reached[0];
            if (abs($off) > self::CLOSE) {
                $wish = ($now->number($away) ?? 20.0) + $off;
                $next[$away] = max(self::NEAREST, min(500.0, $wish));
                // A retreat that would have to begin behind its subject is too long.
                if ($wish < self::NEAREST && $has('length_m')) {
                    $next['length_m'] = max(1.0, ($now->number('length_m') ?? 10.0) + $wish - self::NEAREST);
                }
            }
            $up = max(self::LOWEST, $wanted->height) - $reached[1];
            if ($has('height_m') && abs($up) > self::CLOSE) {
                $wish = ($now->number('height_m') ?? 5.0) + $up;
                $next['height_m'] = max(self::LOWEST, min(500.0, $wish));
                $climb = $now->number('climb_m') ?? 0.0;
                if ($wish < self::LOWEST && $climb > 0) {
                    $next['climb_m'] = max(0.5, $climb + $wish - self::LOWEST);
                }
            }
            $tilt = $this->at === 'end' ? 'tilt_end_deg' : 'tilt_start_deg';
            if ($has($tilt)) {
                $next[$tilt] = round($wanted->tilt / Angle::DEGREE, 2);
            }
            if ($this->hold !== null && $has('pace_mps') && abs($reached[2] - $this->hold) > 0.1) {
                $pace = $now->number('pace_mps') ?? 1.0;
                // The way of the whole move stays; its eases last as they do.
                $ease = $plan->move->holdFrom - $plan->move->onset;
                $next['pace_mps'] = max(0.1, round($pace * ($reached[2] + $ease) / ($this->hold + $ease), 3));
            }
            $own = [...$own, ...self::allowed($now->move, $next)];
            if ($next === [] || (
                $k > 0 && abs($off) <= self::CLOSE && (! $has('height_m') || abs($up) <= self::CLOSE) && ! isset($next['pace_mps'])
            )) {
                break;
            }
            $plan = Planner::plan($shot->withIntent($shot->intent->with($own)));
        }
        $reached = self::reached($plan, $this->at);
        if (abs($reached[0] - $wanted->distance) > 0.5) {
            $notes[] = Fact::of(
                'wanted-picture.move-cant-end-away', distance: Quantity::metres($wanted->distance), reached: Quantity::metres($reached[0]),
            );
        }
        if ($wanted->height < self::LOWEST) {
            $notes[] = Fact::of('wanted-picture.horizon-lens-would-lie', height: Quantity::metres($wanted->height));
        }
        [$hidden, $own, $plan, $more] = $this->hide($shot, $plan, $own);

        return new FoundPicture(
            $wanted, $own, $reached[0], $reached[1], $reached[2], $hidden, [...$notes, ...$more, ...self::worse($before, $plan)],
        );
    }

    /**
     * What a move takes, nearest to what was wished for.
     *
     * @param  array<string, float>  $wished  by id
     * @return array<string, float>
     */
    private static function allowed(string $move, array $wished): array
    {
        foreach (Catalogue::move($move)->parameters() as $parameter) {
            if (isset($wished[$parameter->id])) {
                $wished[$parameter->id] = $parameter->nearest($wished[$parameter->id], self::FINE);
            }
        }

        return $wished;
    }

    /**
     * What could be flown before and can't with this picture: nobody is given that without being told.
     *
     * @return list<Fact>
     */
    private static function worse(Plan $before, Plan $after): array
    {
        $broken = static fn (Plan $plan): array => array_filter(
            $plan->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN,
        );
        $had = array_map(static fn (Finding $finding): string => $finding->id, $broken($before));

        return array_values(array_map(
            static fn (Finding $finding): Fact => Fact::all(Fact::of('wanted-picture.with-it'), $finding->text),
            array_filter($broken($after), static fn (Finding $finding): bool => ! in_array($finding->id, $had, true)),
        ));
    }

    /**
     * @return array{float, float, float} distance over the ground and height above the subject's foot at the wanted end, m; length of the
     * hold, s
     */
    private static function reached(Plan $plan, string $at): array
    {
        $flight = $plan->move->flight;
        $index = $at === 'end' ? $flight->indexAt($plan->move->stop) : $flight->indexAt($plan->move->onset);
        $place = $flight->position($index);
        $subject = $plan->move->subject?->at($flight->t[$index]) ?? $place;

        return [$place->minus($subject)->ground(), $place->up - $plan->move->ground, $plan->move->holdTo - $plan->move->holdFrom];
    }

    /**
     * Keeps what must stay hidden out of the first frame: steeper at the start, where the move has a first tilt.
     *
     * @param  array<string, float>  $own
     * @return array{?bool, array<string, float>, Plan, list<Fact>}
     */
    private function hide(Shot $shot, Plan $plan, array $own): array
    {
        if ($this->hidden === null) {
            return [null, $own, $plan, []];
        }
        if (self::hides($plan, $this->hidden)) {
            return [true, $own, $plan, []];
        }
        $tilt = $plan->move->intent->number('tilt_start_deg');
        if ($tilt !== null && $this->at === 'end') {
            for ($steeper = $tilt - 1; $steeper >= self::STEEPEST; $steeper -= 1) {
                $try = Planner::plan($shot->withIntent($shot->intent->with([...$own, 'tilt_start_deg' => $steeper])));
                if (self::hides($try, $this->hidden)) {
                    return [
                        true, [...$own, 'tilt_start_deg' => $steeper], $try,
                        [Fact::of('wanted-picture.first-tilt-keeps-out', steeper: Quantity::degrees($steeper))],
                    ];
                }
            }
        }

        return [false, $own, $plan, [Fact::of('wanted-picture.seen-first-frame-start')]];
    }

    /** Whether nothing of a solid or an area is seen in the first frame. */
    public static function hides(Plan $plan, string $id): bool
    {
        $known = [
            ...array_map(static fn (Solid $solid): string => $solid->id, $plan->shot->site->solids),
            ...array_map(static fn (Area $area): string => $area->id, $plan->shot->site->areas), 'sea',
        ];
        if (! in_array($id, $known, true)) {
            throw new Refusal(
                Fact::of('wanted-picture.such-thing-site-hide'), 'hidden',
                Fact::of('wanted-picture.one-of', known: implode(', ', array_filter($known, static fn (string $one): bool => $one !== ''))),
            );
        }
        $view = $plan->view($plan->move->flight->indexAt($plan->move->onset));
        foreach ($plan->shot->site->solids as $solid) {
            if ($solid->id === $id && array_filter($solid->silhouettes($view), self::inFrame(...)) !== []) {
                $middle = $solid->body->middle();
                $mark = $middle->plus(0, 0, 0.9 * ($solid->body->top() - $middle->up));

                return self::screened($plan, $mark, $solid);
            }
        }
        foreach ($plan->shot->site->areas as $area) {
            if ($area->id === $id || ($id === 'sea' && $area->kind === Area::WATER)) {
                $flat = Solid::over(
                    '', '',
                    array_map(
                        static fn (Position $p): Position => $p->plus(0, 0, SiteChecks::ground($plan->shot, $plan->move, $p)),
                        $area->points,
                    ),
                    0.05,
                );
                foreach ($flat->silhouettes($view) as $outline) {
                    if (self::inFrame($outline)) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    private static function screened(Plan $plan, Position $mark, Solid $self): bool
    {
        $eye = $plan->move->flight->position($plan->move->flight->indexAt($plan->move->onset));
        foreach ($plan->shot->site->solids as $solid) {
            if ($solid !== $self && $solid->stands($eye, $mark)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a convex outline meets the frame: by the axes of both (separating axis theorem).
     *
     * @param  non-empty-list<array{float, float}>  $outline
     */
    private static function inFrame(array $outline): bool
    {
        $u = array_column($outline, 0);
        $v = array_column($outline, 1);
        if (max($u) < -0.5 || min($u) > 0.5 || max($v) < -0.5 || min($v) > 0.5) {
            return false;
        }
        $n = count($outline);
        $corners = [[-0.5, -0.5], [0.5, -0.5], [0.5, 0.5], [-0.5, 0.5]];
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$outline[$i], $outline[($i + 1) % $n]];
            $own = self::sides($a, $b, $outline);
            $frame = self::sides($a, $b, $corners);
            if (max($frame) < min($own) || min($frame) > max($own)) {
                return false;
            }
        }

        return true;
    }

    /**
     * On which side of the line through two points others lie, and how far: positive to the left.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<float>
     */
    private static function sides(array $a, array $b, array $points): array
    {
        return array_map(static fn (array $p): float => ($b[0] - $a[0]) * ($p[1] - $a[1]) - ($b[1] - $a[1]) * ($p[0] - $a[0]), $points);
    }
}
