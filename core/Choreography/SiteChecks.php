<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\LowAndSlow;
use Larkspur\Move\MovePlan;
use Larkspur\Rig\ModeTune;
use Larkspur\Site\Area;
use Larkspur\Site\Observer;
use Larkspur\Site\Solid;

/** What the site has to say to a plan before it is flown: how near, how high, how far, over whom, across what, behind what. */
final class SiteChecks
{
    /** Clearance to keep from anything solid beside half the craft's width, m (common practice, no published source). */
    public const CLEARANCE = 2.0;

    /** Nearer than this to something, a craft that senses it may act by itself, m (our judgement: crafts differ). */
    public const SENSED = 4.0;

    /** A wire is seen late or never: twice the clearance (our judgement). */
    private const WIRE = 4.0;

    private const LOWEST = 2.0;

    /** A pass above this is not low, m (our judgement). */
    private const LOW = 4.0;

    /** No craft holds its height better than this, m: lower is touching the ground (our judgement). */
    private const HELD = 0.5;

    /** The same over water, where what holds the height is misled (our judgement). */
    private const HELD_OVER_WATER = 1.0;

    /** Over water the sensors that hold the height are unreliable: stay this far up, m (common practice, no published source). */
    private const OVER_WATER = 3.0;

    /** A touchdown may be planned as much below the ground, m, as its height is known. */
    private const GROUND = 0.1;

    /** Samples of 0.02 s between those looked at: half a second for distances, a fifth of one for areas. */
    private const STRIDE = 25;

    /** @return list<Finding> */
    public static function all(Shot $shot, MovePlan $plan): array
    {
        $clearance = self::clearance($shot, $plan);

        return [
            $clearance, ...self::sensing($shot, $clearance), ...self::goesNowhere($shot),
            ...self::gap($shot, $plan),
            self::height($shot, $plan),
            self::sightLine($shot, $plan),
            ...self::hidden($shot, $plan),
            ...self::people($shot, $plan),
            ...self::water($shot, $plan),
            ...self::boundary($shot, $plan),
        ];
    }

    /** What is followed or passed although it stands and has no way of its own: a thing of the site; null where it may go. */
    public static function built(Shot $shot): ?Solid
    {
        $subject = $shot->intent->filmed($shot->site->frame())?->first();
        if ($subject === null || $shot->intent->track !== [] || ! Catalogue::follows($shot->intent->move)) {
            return null;
        }
        foreach ($shot->site->solids as $solid) {
            if ($solid->isSubject && ! $solid->moves && $solid->leastDistance($subject) < 1.0 && $solid->distance($subject) < 1.0) {
                return $solid;
            }
        }

        return null;
    }

    /** @return list<Finding> */
    private static function goesNowhere(Shot $shot): array
    {
        $solid = self::built($shot);

        return $solid === null ? [] : [new Finding('built', Finding::NOTE, Fact::of('site-check.does-not-move', solid: $solid->name))];
    }

    /** The least distance that a path must keep from something, m. */
    public static function margin(Shot $shot, Solid $solid): float
    {
        return ($solid->shape === 'wire' ? self::WIRE : self::CLEARANCE) + $shot->rig->width / 2;
    }

    private static function clearance(Shot $shot, MovePlan $plan): Finding
    {
        $least = INF;
        $nearest = null;
        $at = 0.0;
        // What decides is not the distance but how much of the margin it leaves. Those that may be nearest come first, and most of the
        // others need no closer look.
        $bounds = array_map(self::bound($plan), $shot->site->solids);
        asort($bounds);
        foreach ($bounds as $k => $bound) {
            $solid = $shot->site->solids[$k];
            $more = self::margin($shot, $solid) - self::CLEARANCE;
            if ($bound - $more > $least) {
                continue;
            }
            [$distance, $time] = self::nearest($solid, $plan, $least + $more);
            if ($distance - $more < $least) {
                [$least, $nearest, $at] = [$distance - $more, $solid, $time];
            }
        }
        if ($nearest === null) {
            return new Finding(
                'clearance', Finding::OK, Fact::of('site-check.nothing-stands-near-path'), null, self::CLEARANCE + $shot->rig->width / 2,
                'm',
            );
        }
        $margin = self::margin($shot, $nearest);
        $least += $margin - self::CLEARANCE;
        if ($least < $margin) {
            $more = ceil(($margin - $least) * 2) / 2;
            $height = $plan->intent->number('height_m');
            // What is flown through a gap, or is a figure at its own height, is not flown over it.
            $over = $plan->intent->number('gap_m') === null && ! Checks::hasNoHold($plan);

            return new Finding(
                'clearance', Finding::BROKEN,
                $least <= 0.05
                    ? Fact::of('site-check.path-runs-into', nearest: $nearest->name, at: Quantity::moment($at))
                    : Fact::of(
                        'site-check.only-keep', least: Quantity::metres($least), nearest: $nearest->name, at: Quantity::moment($at),
                        margin: Quantity::metres($margin),
                    ),
                $least, $margin, 'm',
                Fact::of($over ? 'site-check.fly-higher-another-distance' : 'site-check.lay-it-out-elsewhere'),
                // Over it: the lowest of the path clears its top.
                $height === null || ! $over ? [] : ['height_m' => round(
                    $height + max($more, $nearest->body->top() + $margin - Statistics::least($plan->flight->up)), 1,
                )],
            );
        }

        return new Finding(
            'clearance', Finding::OK, Fact::of('site-check.to-at-the-nearest', least: Quantity::metres($least), nearest: $nearest->name),
            $least, $margin, 'm',
        );
    }

    /**
     * What the craft would do by itself where it comes so near, in the mode that is flown; nothing where nobody said what it is set to.
     *
     * @return list<Finding>
     */
    private static function sensing(Shot $shot, Finding $clearance): array
    {
        $response = $shot->tune()->obstacles;
        if ($response === null || $clearance->value === null || $clearance->value >= self::SENSED) {
            return [];
        }

        return [new Finding(
            'sensing', Finding::NOTE, Fact::of("site-check.sensing-$response", least: Quantity::metres($clearance->value)),
            $clearance->value, self::SENSED, 'm',
            $response === ModeTune::OFF ? null : Fact::of('site-check.fly-farther-from-it'),
        )];
    }

    /** @return list<Finding> */
    private static function gap(Shot $shot, MovePlan $plan): array
    {
        $gap = Opening::on($shot, $plan);
        if ($gap === null) {
            return [];
        }
        [$width, $needed] = [Quantity::metres($gap->width), Quantity::metres($gap->needed)];
        if ($gap->fits()) {
            return [new Finding(
                'gap', Finding::OK,
                Fact::of(
                    $gap->drawn ? 'site-check.gap-fits' : 'site-check.gap-said', left: $gap->left, right: $gap->right, width: $width,
                    needed: $needed,
                ), $gap->width, $gap->needed, 'm',
            )];
        }
        $wider = ceil($gap->needed * 2) / 2;

        return [new Finding(
            'gap', Finding::BROKEN,
            Fact::of(
                'site-check.gap-too-narrow', left: $gap->left, right: $gap->right, width: $width, at: Quantity::moment($gap->at),
                short: Quantity::metres($gap->needed - $gap->width),
            ),
            $gap->width, $gap->needed, 'm',
            ...($gap->drawn ? [Fact::of('site-check.way-round-gap')] : [
                Fact::of('site-check.take-wider-gap', needed: Quantity::metres($wider)), ['gap_m' => $wider],
            ]),
        )];
    }

    /**
     * Nothing of a solid lies nearer to a path than this, over the ground, m: its distance from the box about the path.
     *
     * @return callable(Solid): float
     */
    public static function bound(MovePlan $plan): callable
    {
        $flight = $plan->flight;
        [$west, $east] = [Statistics::least($flight->east), Statistics::greatest($flight->east)];
        [$south, $north] = [Statistics::least($flight->north), Statistics::greatest($flight->north)];

        return static function (Solid $solid) use ($west, $east, $south, $north): float {
            $middle = $solid->body->middle();

            return max(
                0.0,
                hypot(
                    max(0.0, $west - $middle->east, $middle->east - $east), max(0.0, $south - $middle->north, $middle->north - $north),
                ) - $solid->body->reach(),
            );
        };
    }

    /** @return array{float, float} least distance to a solid, m, and when, s; INF where it can't undercut $best */
    public static function nearest(Solid $solid, MovePlan $plan, float $best = INF): array
    {
        $flight = $plan->flight;
        $least = INF;
        $at = 0.0;
        $n = $flight->count();
        for ($i = 0; $i < $n; $i += self::STRIDE) {
            $place = $flight->position($i);
            if ($solid->leastDistance($place) > min($least, $best + 5)) {
                continue;
            }
            $distance = $solid->distance($place);
            if ($distance < $least) {
                [$least, $at] = [$distance, $flight->t[$i]];
            }
        }
        if ($least > $best + 5) {
            return [INF, 0.0];
        }
        $centre = $flight->indexAt($at);
        for ($i = max(0, $centre - self::STRIDE); $i <= min($n - 1, $centre + self::STRIDE); $i++) {
            $distance = $solid->distance($flight->position($i));
            if ($distance < $least) {
                [$least, $at] = [$distance, $flight->t[$i]];
            }
        }

        return [$least, $at];
    }

    /** Height of the ground under a place of a plan: as the site has it, else level with the subject's foot. */
    public static function ground(Shot $shot, MovePlan $plan, Position $place): float
    {
        return $shot->site->ground?->at($place->east, $place->north) ?? $plan->ground;
    }

    private static function height(Shot $shot, MovePlan $plan): Finding
    {
        $flight = $plan->flight;
        if ($shot->site->ground === null) {
            $top = Statistics::greatest($flight->up) - min(0.0, $plan->ground);
            $low = Statistics::least($flight->up) - $plan->ground;
        } else {
            [$top, $low] = [-INF, INF];
            for ($i = 0, $n = $flight->count(); $i < $n; $i += 5) {
                $above = $flight->up[$i] - $shot->site->ground->at($flight->east[$i], $flight->north[$i]);
                $top = max($top, $above);
                $low = min($low, $above);
            }
        }
        $ceiling = $shot->site->ceiling;
        $mend = static fn (float $change): array => $plan->intent->number('height_m') === null ? [] : ['height_m' => max(
            0.5, round($plan->intent->number('height_m') + $change, 1),
        )];
        if ($top > $ceiling + 1e-6) {
            return new Finding(
                'height', Finding::BROKEN,
                Fact::of('site-check.above-ground-ceiling-check', top: Quantity::metres($top), ceiling: Quantity::metres($ceiling)), $top,
                $ceiling, 'm', Fact::of('site-check.fly-lower'), $mend($ceiling - $top),
            );
        }
        if ($low < -self::GROUND) {
            return new Finding(
                'height', Finding::BROKEN, Fact::of('site-check.way-leads-into-ground', low: Quantity::metres(-$low)), $low, 0.0, 'm',
                Fact::of('site-check.stay-up', lowest: Quantity::metres(self::LOWEST)), $mend(self::LOWEST - $low),
            );
        }
        if ($low < self::HELD - 1e-6 && ! Checks::hasNoHold($plan)) {
            return new Finding(
                'height', Finding::BROKEN,
                Fact::of('site-check.too-low-to-hold', low: Quantity::metres(max(0.0, $low)), least: Quantity::metres(self::HELD)),
                $low, self::HELD, 'm', Fact::of('site-check.stay-up', lowest: Quantity::metres(self::LOWEST)), $mend(self::LOWEST - $low),
            );
        }
        // Somebody who asked to be low and then said how high may be high all the same.
        if (LowAndSlow::asked($plan->intent) && $low < self::LOW) {
            return new Finding(
                'height', Finding::NOTE, Fact::of('site-check.low-and-slow', low: Quantity::metres($low)), $low, self::HELD, 'm',
            );
        }
        if ($low < self::LOWEST - 1e-6 && ! Checks::hasNoHold($plan)) {
            return new Finding(
                'height', Finding::NOTE, Fact::of('site-check.only-above-ground-low', low: Quantity::metres($low)), $low, self::LOWEST, 'm',
                Fact::of('site-check.stay-up', lowest: Quantity::metres(self::LOWEST)), $mend(self::LOWEST - $low),
            );
        }

        return new Finding(
            'height', Finding::OK,
            Fact::of('site-check.above-ground-ceiling', top: Quantity::metres($top), ceiling: Quantity::metres($ceiling)), $top, $ceiling,
            'm',
        );
    }

    private static function sightLine(Shot $shot, MovePlan $plan): Finding
    {
        $farthest = 0.0;
        $behind = null;
        $eyes = new Position(0, 0, Observer::EYES);
        $near = self::between($shot, $plan, $eyes);
        for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += self::STRIDE) {
            $place = $plan->flight->position($i);
            $farthest = max($farthest, $place->length());
            if ($behind === null) {
                foreach ($near as $solid) {
                    if ($solid->stands($eyes, $place)) {
                        $behind = [$solid, $plan->flight->t[$i], $place];
                        break;
                    }
                }
            }
        }
        $limit = $shot->site->sightLine;
        if ($farthest > $limit) {
            return new Finding(
                'sight-line', Finding::BROKEN,
                Fact::of('site-check.take-off-farthest-beyond', farthest: Quantity::metres($farthest), limit: Quantity::metres($limit)),
                $farthest, $limit, 'm', Fact::of('site-check.stand-nearer-subject-fly'),
            );
        }
        if ($behind !== null) {
            [$solid, $t, $place] = $behind;
            foreach ($shot->site->observers as $observer) {
                if ($observer->eyes->minus($place)->length() <= $limit && $shot->site->between($observer->eyes, $place) === null) {
                    return new Finding(
                        'sight-line', Finding::NOTE,
                        Fact::of(
                            'site-check.goes-behind-you-still', t: Quantity::moment($t), solid: $solid->name, observer: $observer->name,
                        ),
                        $farthest, $limit, 'm',
                    );
                }
            }

            return new Finding(
                'sight-line', Finding::NOTE, Fact::of('site-check.goes-behind-nobody-sees', t: Quantity::moment($t), solid: $solid->name),
                $farthest, $limit, 'm',
            );
        }

        return new Finding(
            'sight-line', Finding::OK, Fact::of('site-check.sight-throughout-farthest', farthest: Quantity::metres($farthest)), $farthest,
            $limit, 'm',
        );
    }

    /**
     * The solids that can come between a path and a point: those whose ground meets the box about both.
     *
     * @return list<Solid>
     */
    private static function between(Shot $shot, MovePlan $plan, Position $point): array
    {
        $flight = $plan->flight;
        $east = [min(Statistics::least($flight->east), $point->east), max(Statistics::greatest($flight->east), $point->east)];
        $north = [min(Statistics::least($flight->north), $point->north), max(Statistics::greatest($flight->north), $point->north)];

        return array_values(array_filter($shot->site->solids, static function (Solid $solid) use ($east, $north): bool {
            [$middle, $reach] = [$solid->body->middle(), $solid->body->reach()];

            return $middle->east + $reach > $east[0]
                && $middle->east - $reach < $east[1]
                && $middle->north + $reach > $north[0]
                && $middle->north - $reach < $north[1];
        }));
    }

    /**
     * What stands between the lens and the subject, and when: what a reveal is made of, and what spoils any other move.
     *
     * @return list<Finding>
     */
    private static function hidden(Shot $shot, MovePlan $plan): array
    {
        $stretches = self::screens($shot, $plan);
        if ($stretches === []) {
            $wanted = $plan->subject !== null && Catalogue::move($plan->intent->move)->about()->foreground;

            return $wanted ? [new Finding('hidden', Finding::NOTE, Fact::of('site-check.no-foreground'), null, null, '')] : [];
        }
        $last = $stretches[count($stretches) - 1];
        [$from, $until, $screen] = [$stretches[0]['from'], $last['until'], $last['solid']];
        $reveals = Catalogue::move($plan->intent->move)->about()->group === Group::Reveal;

        return [match (true) {
            $until === null => new Finding(
                'hidden', Finding::NOTE, Fact::of('site-check.stands-before', from: Quantity::moment($from), screen: $screen->name), $from,
                null, 's',
            ),
            $reveals => new Finding(
                'hidden', Finding::OK, Fact::of('site-check.comes-out-behind', screen: $screen->name, until: Quantity::moment($until)),
                $until, null, 's',
            ),
            default => new Finding(
                'hidden', Finding::NOTE,
                Fact::of(
                    'site-check.hides-it-from-to', screen: $screen->name, from: Quantity::moment($from), until: Quantity::moment($until),
                ),
                $until, null, 's',
            ),
        }];
    }

    /**
     * The stretches of time in which something stands before the subject's mark, and what does; until is null where it does to the end.
     *
     * @return list<array{from: float, until: ?float, solid: Solid}>
     */
    public static function screens(Shot $shot, MovePlan $plan): array
    {
        if ($plan->subject === null) {
            return [];
        }
        $mark = $plan->subject->first();
        $moves = $plan->subject->moves();
        $near = array_values(array_filter(
            $moves ? $shot->site->solids : self::between($shot, $plan, $mark),
            // Whatever the mark lies within is what is filmed, and does not hide itself.
            static fn (Solid $solid): bool => ! $solid->isSubject && $solid->shape !== 'wire' && ($moves || $solid->distance($mark) > 0.0),
        ));
        if ($near === []) {
            return [];
        }
        $stretches = [];
        $open = null;
        for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += 5) {
            $t = $plan->flight->t[$i];
            $now = null;
            foreach ($near as $solid) {
                if ($solid->stands($plan->flight->position($i), $plan->subject->at($t))) {
                    $now = $solid;
                    break;
                }
            }
            if ($now !== null) {
                $open = ['from' => $open['from'] ?? $t, 'until' => null, 'solid' => $now];
            } elseif ($open !== null) {
                $stretches[] = [...$open, 'until' => $t];
                $open = null;
            }
        }

        return $open === null ? $stretches : [...$stretches, $open];
    }

    /** @return list<Finding> */
    private static function people(Shot $shot, MovePlan $plan): array
    {
        $least = INF;
        [$who, $at] = [null, 0.0];
        foreach ($shot->site->areasOf(Area::PEOPLE) as $area) {
            for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += 10) {
                $distance = $area->distance($plan->flight->position($i));
                if ($distance < $least) {
                    [$least, $who, $at] = [$distance, $area, $plan->flight->t[$i]];
                }
            }
        }
        if ($who === null) {
            return [];
        }
        $limit = $shot->site->people;
        $where = $least <= 0
            ? Fact::of('site-check.path-over', at: Quantity::moment($at), who: $who->name)
            : Fact::of('site-check.from-at', least: Quantity::metres($least), who: $who->name, at: Quantity::moment($at));

        return [$least < $limit
            ? new Finding(
                'people', Finding::BROKEN, Fact::all($where, Fact::of('site-check.keep-over-ground-what', limit: Quantity::metres($limit))),
                $least, $limit, 'm', Fact::of('site-check.fly-another-side-clear'),
            )
            : new Finding('people', Finding::OK, $where, $least, $limit, 'm')];
    }

    /** @return list<Finding> */
    private static function water(Shot $shot, MovePlan $plan): array
    {
        $least = INF;
        [$what, $at] = [null, 0.0];
        foreach ($shot->site->areasOf(Area::WATER) as $area) {
            for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += 10) {
                $place = $plan->flight->position($i);
                if ($area->contains($place) && $place->up - self::ground($shot, $plan, $place) < $least) {
                    [$least, $what, $at] = [$place->up - self::ground($shot, $plan, $place), $area, $plan->flight->t[$i]];
                }
            }
        }
        if ($what === null) {
            return [];
        }

        $deep = $least < self::HELD_OVER_WATER - 1e-6 && ! Checks::hasNoHold($plan);

        return [$least < self::OVER_WATER
            ? new Finding(
                'water', $deep ? Finding::BROKEN : Finding::NOTE,
                Fact::of(
                    $deep ? 'site-check.too-low-over-water' : 'site-check.over-sensors-cant-hold', least: Quantity::metres($least),
                    what: $what->name, at: Quantity::moment($at),
                ),
                $least, self::OVER_WATER, 'm', Fact::of('site-check.stay-up-over-water', overWater: Quantity::metres(self::OVER_WATER)),
                $plan->intent->number('height_m') === null
                    ? []
                    : ['height_m' => round($plan->intent->number('height_m') + self::OVER_WATER - $least, 1)],
            )
            : new Finding(
                'water', Finding::OK, Fact::of('site-check.over-hold-height-eye', least: Quantity::metres($least), what: $what->name),
                $least, self::OVER_WATER, 'm',
            )];
    }

    /** @return list<Finding> */
    private static function boundary(Shot $shot, MovePlan $plan): array
    {
        $lines = $shot->site->areasOf(Area::BOUNDARY);
        if ($lines === []) {
            return [];
        }
        // From take-off to the first frame, along the path, and home again.
        $way = [new Position(0, 0, 0)];
        $times = [null];
        for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += 10) {
            $way[] = $plan->flight->position($i);
            $times[] = $plan->flight->t[$i];
        }
        $way[] = $plan->flight->position($plan->flight->count() - 1);
        $times[] = $plan->flight->duration();
        $way[] = new Position(0, 0, 0);
        $times[] = null;
        foreach ($lines as $line) {
            foreach ($times as $k => $t) {
                if ($k > 0 && $line->crossedBy($way[$k - 1], $way[$k])) {
                    $when = match (true) {
                        $t === null => Fact::of('site-check.way-home'),
                        $times[$k - 1] === null => Fact::of('site-check.way-first-frame'),
                        default => Fact::of('site-check.at', t: Quantity::moment($t)),
                    };

                    return [new Finding(
                        'boundary', Finding::BROKEN, Fact::of('site-check.way-crosses-ask-whose', line: $line->name, when: $when), null,
                        null, '', Fact::of('site-check.stay-side-take-off'),
                    )];
                }
            }
        }

        return [new Finding('boundary', Finding::OK, Fact::of('site-check.every-boundary-stays-uncrossed'))];
    }
}
