<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Camera\FramePoint;
use Larkspur\Camera\View;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Outline;
use Larkspur\Site\Solid;

/**
 * When a subject is seen: at the first frame, at the last, and from when on. Seen needs both: its mark stands in the frame, and nothing
 * stands before it.
 */
final readonly class RevealNotes
{
    /** A subject that fills less of the frame's height than this can't be read (our judgement). */
    private const READABLE = 0.06;

    /** A sight passes over a thing within this of it, m. */
    private const ABOVE = 0.5;

    /** Things this near to a sight on both sides make an opening of it, m (our judgement). */
    private const BESIDE = 4.0;

    /** Samples of 0.02 s between those looked at. */
    private const STRIDE = 5;

    private const SEEN = 'reveal.seen';

    private const BEHIND = 'reveal.behind';

    private const NO_SUBJECT = 'reveal.no-subject';

    /** Horizon within this of the middle, in shares of the frame's height, makes half the picture sky (field's rule by eye). */
    private const HALF_SKY = 0.06;

    /**
     * @param  Fact  $first  how the subject is at first motion: seen, outside the frame, or behind what
     * @param  Fact  $last  how it is at the end
     * @param  ?float  $fills  share of the frame's height that it fills at the end; null where no solid is filmed
     * @param  ?float  $appears  when it is seen for the first time, s; null where it is seen from the start or never
     * @param  ?string  $kind  how it comes to be seen: over what hid it, round its side, through between two things, or into the frame;
     *     null where it is no reveal
     * @param  float  $horizon  of the last frame, from the top in shares of its height
     * @param  ?float  $tiltBegins  when the wheel sets out, s
     * @param  ?float  $tiltLatest  with the wheel at rest the subject leaves the frame then, s
     * @param  ?float  $needed  from the last place, the height at which the subject comes clear of what hides it, m above its foot
     */
    private function __construct(
        public Fact $first,
        public Fact $last,
        public ?float $fills,
        public ?float $appears,
        public ?string $kind,
        public float $horizon,
        public ?float $tiltBegins,
        public ?float $tiltLatest,
        public ?float $needed,
    ) {
    }

    public static function of(Plan $plan): self
    {
        $flight = $plan->move->flight;
        $from = $flight->indexAt($plan->move->onset);
        $to = $flight->indexAt($plan->move->stop);
        $screens = SiteChecks::screens($plan->shot, $plan->move);
        $first = self::state($plan, $from, $screens);
        $last = self::state($plan, $to, $screens);
        [$appears, $kind] = [null, null];
        if ($first->code !== self::SEEN && $plan->move->subject !== null) {
            for ($i = $from; $i <= $to; $i += self::STRIDE) {
                if (self::state($plan, $i, $screens)->code === self::SEEN) {
                    $appears = $flight->t[$i];
                    $kind = self::kind($plan, max($from, $i - self::STRIDE), $i, $screens);
                    break;
                }
            }
        }
        $tilts = null;
        foreach ($plan->parts as $press) {
            $tilts = $press->finger === Finger::Tilt && ! $press->rests() ? $press->onset : $tilts;
        }

        return new self(
            $first, $last, self::fills($plan, $to), $appears, $kind, 0.5 - $plan->view($to)->horizon(), $tilts,
            self::tiltLatest($plan, $from, $to), self::needed($plan, $to, $screens),
        );
    }

    /** Whether something stands before the subject at first motion. */
    public function isScreenedFirst(): bool
    {
        return $this->first->code === self::BEHIND;
    }

    public function isSeenLast(): bool
    {
        return $this->last->code === self::SEEN;
    }

    /** @param  list<array{from: float, until: ?float, solid: Solid}>  $screens */
    private static function state(Plan $plan, int $index, array $screens): Fact
    {
        if ($plan->move->subject === null) {
            return Fact::of(self::NO_SUBJECT);
        }
        $t = $plan->move->flight->t[$index];
        $mark = $plan->view($index)->project($plan->move->subject->at($t));
        if ($mark === null || ! $mark->isInside()) {
            return Fact::of('reveal.outside-frame');
        }
        foreach ($screens as $screen) {
            if ($t >= $screen['from'] && $t < ($screen['until'] ?? INF)) {
                return Fact::of(self::BEHIND, solid: $screen['solid']->name);
            }
        }

        return Fact::of(self::SEEN);
    }

    /**
     * How the subject comes to be seen: by the sight just after it, past what hid it just before.
     *
     * @param  int  $hidden  the last sample at which it was not seen
     * @param  list<array{from: float, until: ?float, solid: Solid}>  $screens
     */
    private static function kind(Plan $plan, int $hidden, int $seen, array $screens): string
    {
        $t = $plan->move->flight->t[$hidden];
        $screen = null;
        foreach ($screens as $one) {
            $screen = $t >= $one['from'] && $t < ($one['until'] ?? INF) ? $one['solid'] : $screen;
        }
        $eye = $plan->move->flight->position($seen);
        $sight = $plan->move->subject?->at($plan->move->flight->t[$seen])->minus($eye);
        if ($screen === null || $sight === null || $sight->ground() < 0.1) {
            return 'into';
        }
        // Where the sight passes a thing: how far along, how far to its right, m.
        $past = static function (Solid $solid) use ($eye, $sight): array {
            $to = $solid->body->middle()->minus($eye);
            $along = ($to->east * $sight->east + $to->north * $sight->north) / $sight->ground();

            return [$along, ($to->east * $sight->north - $to->north * $sight->east) / $sight->ground()];
        };
        [$along] = $past($screen);
        $height = $eye->up + $sight->up * max(0.0, min(1.0, $along / $sight->ground()));
        $way = $eye->plus($sight->east * $along / $sight->ground(), $sight->north * $along / $sight->ground(), 0.0);
        if ($height >= $screen->body->top() - self::ABOVE && Outline::distance($screen->foot(), $way->east, $way->north) < self::ABOVE) {
            return 'over';
        }
        $sides = [];
        foreach ($plan->shot->site->solids as $solid) {
            [$along, $right] = $past($solid);
            $reach = Outline::reach($solid->foot(), $solid->body->middle());
            if (! $solid->isSubject && $along > 0.0 && $along < $sight->ground() && abs($right) - $reach < self::BESIDE
                && $solid->body->top() > $eye->up + $sight->up * $along / $sight->ground()) {
                $sides[$right < 0.0 ? 'left' : 'right'] = true;
            }
        }

        return count($sides) === 2 ? 'through' : 'round';
    }

    private static function fills(Plan $plan, int $index): ?float
    {
        $low = INF;
        $high = -INF;
        foreach ($plan->shot->site->solids as $solid) {
            if (
                $solid->isSubject
                && $plan->move->subject !== null
                && $solid->distance($plan->move->subject->at($plan->move->flight->t[$index])) < 1.0
            ) {
                foreach ($solid->silhouettes($plan->view($index)) as $outline) {
                    $v = array_column($outline, 1);
                    [$low, $high] = [min($low, ...$v), max($high, ...$v)];
                }
            }
        }

        return $high < $low ? null : $high - $low;
    }

    /**
     * Had the tilt stayed as it is at first motion, the subject would leave the frame then; null where it never would, or was never in it.
     */
    private static function tiltLatest(Plan $plan, int $from, int $to): ?float
    {
        $flight = $plan->move->flight;
        if ($plan->move->subject === null || abs($flight->tilt[$to] - $flight->tilt[$from]) < 0.5 * Angle::DEGREE) {
            return null;
        }
        $been = false;
        for ($i = $from; $i <= $to; $i += self::STRIDE) {
            $view = new View($flight->position($i), $flight->heading[$i], $flight->tilt[$from], $plan->shot->intent->lens);
            $mark = $view->project($plan->move->subject->at($flight->t[$i]));
            $inside = $mark instanceof FramePoint && abs($mark->v) <= 0.5;
            if ($been && ! $inside) {
                return $flight->t[$i];
            }
            $been = $been || $inside;
        }

        return null;
    }

    /**
     * Where the subject is still hidden at the end: how high the craft would have to be there, by halving.
     *
     * @param  list<array{from: float, until: ?float, solid: Solid}>  $screens
     */
    private static function needed(Plan $plan, int $to, array $screens): ?float
    {
        $open = $screens === [] ? null : $screens[count($screens) - 1];
        if ($open === null || $open['until'] !== null || $plan->move->subject === null) {
            return null;
        }
        $mark = $plan->move->subject->at($plan->move->flight->t[$to]);
        $at = $plan->move->flight->position($to);
        [$low, $high] = [0.0, 200.0];
        for ($k = 0; $k < 30; $k++) {
            $middle = ($low + $high) / 2;
            if ($plan->shot->site->between($at->plus(0, 0, $middle), $mark) === null) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high > 199 ? null : $at->up + $high - $plan->move->ground;
    }

    public function isHiddenFirst(): bool
    {
        return ! in_array($this->first->code, [self::SEEN, self::NO_SUBJECT], true);
    }

    public function readable(): bool
    {
        return $this->last->code === self::SEEN && ($this->fills === null || $this->fills >= self::READABLE);
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        $out = [];
        if ($this->first->code !== self::NO_SUBJECT) {
            $out[] = match (true) {
                $this->first->code === self::SEEN => Fact::of('reveal.subject-seen-first-frame'),
                $this->appears === null => Fact::of('reveal.first-frame-subject-stays', first: $this->first),
                default => Fact::of(
                    'reveal.first-frame-subject-appears', first: $this->first, appears: Quantity::moment($this->appears),
                    how: Fact::of('reveal.kind.'.($this->kind ?? 'into')),
                ),
            };
            $out[] = match (true) {
                $this->last->code !== self::SEEN => Fact::of('reveal.last-frame', last: $this->last),
                $this->fills === null => Fact::of('reveal.last-frame-seen'),
                default => Fact::of(
                    $this->readable() ? 'reveal.last-frame-fills-height' : 'reveal.last-frame-too-small',
                    fills: Quantity::share($this->fills),
                ),
            };
        }
        $out[] = match (true) {
            $this->horizon < 0 => Fact::of('reveal.last-frame-sky'),
            $this->horizon > 1 => Fact::of('reveal.last-frame-all-sky'),
            abs($this->horizon - 0.5) < self::HALF_SKY => Fact::of(
                'reveal.horizon-ends-top-half', horizon: Quantity::share($this->horizon),
            ),
            default => Fact::of('reveal.horizon-ends-top-upper', horizon: Quantity::share($this->horizon)),
        };
        if ($this->tiltLatest !== null) {
            $out[] = $this->tiltBegins === null
                ? Fact::of('reveal.wheel-rest-subject-leaves', tiltLatest: Quantity::moment($this->tiltLatest))
                : Fact::of(
                    'reveal.wheel-sets-out-later', tiltBegins: Quantity::moment($this->tiltBegins),
                    tiltLatest: Quantity::moment($this->tiltLatest),
                );
        } elseif ($this->tiltBegins !== null) {
            $out[] = Fact::of('reveal.wheel-sets-out', tiltBegins: Quantity::moment($this->tiltBegins));
        }
        if ($this->needed !== null) {
            $out[] = Fact::of('reveal.last-place-comes-clear', needed: Quantity::metres($this->needed));
        }

        return $out;
    }
}
