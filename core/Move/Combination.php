<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Ramp;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Handle\OfPart;
use Larkspur\Move\Handle\Sheet;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Shape\Stance;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;

/**
 * Two or three moves joined into one: one after another, the fade of each blended into the swell of the next, or at once on
 * different fingers. Planned, checked and judged as one figure.
 *
 * One after another, the ways of the parts are added up over the hand-over, so that pace and picture never jump. At once,
 * the rates of the fingers are added up, each part stretched to the seconds of the longest.
 */
final readonly class Combination implements Move
{
    public const ID = 'combination';

    public const SEQUENCE = 'sequence';

    public const TOGETHER = 'together';

    /** Seconds of the recording in which two parts overlap at least, where their eases are shorter. */
    private const LEAST_OVERLAP = 0.6;

    /** Handles that say where a part begins; of any part but the first the one before decides that. */
    private const BEGINNING = ['start', 'heading', 'height'];

    public function about(): About
    {
        return new About(self::ID, Group::Combined, 5, '', [], faults: ['kick', 'off-mark']);
    }

    public function parameters(): array
    {
        return [];
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::figure();
    }

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        return [];
    }

    public function opposite(MovePlan $plan): array
    {
        return self::eachPart($plan, static fn (Move $move, MovePlan $part): array => $move->opposite($part));
    }

    public function reversed(MovePlan $plan): array
    {
        return [];
    }

    public function slower(MovePlan $plan, float $share): array
    {
        return self::eachPart($plan, static fn (Move $move, MovePlan $part): array => $move->slower($part, $share));
    }

    public function longer(MovePlan $plan, float $times): array
    {
        return self::eachPart($plan, static fn (Move $move, MovePlan $part): array => $move->longer($part, $times));
    }

    /**
     * Where the first part begins. One after another, also how far each goes, and its times on the thumb sheet, but for the ease of a part
     * that follows another: the hand-over decides that. At once, the parts draw a way that none of them draws alone.
     */
    public function handles(MovePlan $plan, Intent $asked): array
    {
        $handles = [];
        $shift = 0.0;
        foreach ($plan->parts as $k => $part) {
            $shift += $k === 0 ? 0.0 : self::handOver($plan->parts[$k - 1], $part);
            foreach (Catalogue::move($part->intent->move)->handles($part, $part->intent) as $handle) {
                $offered = match (true) {
                    in_array($handle->id, self::BEGINNING, true) => $k === 0,
                    $plan->intent->join !== self::SEQUENCE => false,
                    $handle->sheet === Sheet::Thumbs => $k === 0 || $handle->id !== 'ease',
                    default => $handle->id === 'end',
                };
                if ($offered) {
                    $handles[] = new OfPart($k, $handle, $shift);
                }
            }
        }

        return $handles;
    }

    /** Seconds by which the clock of a part runs behind that of the part before it. */
    private static function handOver(MovePlan $before, MovePlan $next): float
    {
        $overlap = max(self::LEAST_OVERLAP, min($before->stop - $before->holdTo, $next->holdFrom - $next->onset));

        return $before->stop - $overlap - $next->onset;
    }

    /**
     * What each part answers, by the names that its parameters have in the whole ("parts.1.pace_mps").
     *
     * @param  callable(Move, MovePlan): array<string, float|string>  $asked
     * @return ($asked is callable(Move, MovePlan): array<string, float> ? array<string, float> : array<string, float|string>)
     */
    private static function eachPart(MovePlan $plan, callable $asked): array
    {
        $out = [];
        foreach ($plan->parts as $k => $part) {
            foreach ($asked(Catalogue::move($part->intent->move), $part) as $id => $value) {
                $out["parts.$k.$id"] = $value;
            }
        }

        return $out;
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget(viewing: 20.0);
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        return $this->joined($intent, $frame, ModeTune::ordinary());
    }

    /** The same, its parts completed with defaults that suit the craft. */
    public function joined(Intent $intent, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        $parts = $intent->parts;
        if (count($parts) < 2 || count($parts) > 3) {
            throw new Refusal(Fact::of('combination.combination-made-two-three'), 'intent.parts', Fact::of('combination.list-two-three'));
        }

        return $intent->join === self::TOGETHER ? $this->together($intent, $frame, $mode) : $this->inSequence($intent, $frame, $mode);
    }

    private function inSequence(Intent $intent, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        $plan = self::part($intent, 0, [], $frame, $mode);
        $parts = [$plan];
        $marks = [];
        for ($k = 1; $k < count($intent->parts); $k++) {
            $last = $plan->flight->count() - 1;
            $end = new Flight(
                [0.0], [$plan->flight->east[$last]], [$plan->flight->north[$last]], [$plan->flight->up[$last]],
                [$plan->flight->heading[$last]], [$plan->flight->tilt[$last]],
            );
            $next = self::part($intent, $k, self::fromWhere($intent, $k, $end, $frame), $frame, $mode);
            $parts[] = $next;
            $marks[] = new Mark(Mark::SEAM, $plan->stop);
            $plan = self::after($plan, $next, self::handOver($plan, $next));
        }

        return new MovePlan(
            $intent, [], $plan->flight, $plan->onset, $plan->holdFrom, $plan->holdTo, $plan->stop, $plan->subject, $plan->ground,
            $plan->viewing, $plan->pan, $plan->lead,
            [...$marks, new Mark(Mark::END, $plan->stop)], $parts,
        );
    }

    /**
     * A part of the combination, planned alone.
     *
     * @param  array<string, float|string>  $placed  parameters that the part before decides
     */
    private static function part(Intent $intent, int $k, array $placed, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        ['move' => $id, 'parameters' => $given] = $intent->parts[$k];
        $move = Catalogue::move($id, "intent.parts.{$k}.move");
        if ($move->about()->group === Group::Drill || $move instanceof self) {
            throw new Refusal(
                Fact::of('combination.cant-part-combination', move: $move->about()->name()), "intent.parts.{$k}.move",
                Fact::of('combination.shot-move'),
            );
        }
        try {
            return Catalogue::plan($intent->asPart($id, [...$given, ...$placed]), $frame, $mode);
        } catch (Refusal $refusal) {
            throw new Refusal(
                $refusal->fact, str_replace('intent.parameters', "intent.parts.{$k}.parameters", $refusal->place), $refusal->expected,
            );
        }
    }

    /**
     * Where the next part begins: at the place and heading where the last one ended.
     *
     * @return array<string, float|string>
     */
    private static function fromWhere(Intent $intent, int $k, Flight $end, LocalFrame $frame): array
    {
        $known = array_map(
            static fn (Parameter $parameter): string => $parameter->id, Catalogue::move($intent->parts[$k]['move'])->parameters(),
        );
        $subject = $intent->filmed($frame)?->first();
        $heading = Angle::bearing($end->heading[0]);
        if ($subject === null) {
            return array_intersect_key(['height_m' => max(0.0, $end->up[0]), 'heading_deg' => $heading], array_flip($known));
        }
        $from = $end->position(0)->minus($subject);
        $placed = [
            'distance_m' => max(0.5, $from->ground()), 'radius_m' => max(2.0, $from->ground()),
            'start_bearing_deg' => Angle::bearing($from->bearing()),
            'height_m' => max(0.0, $end->up[0] - Stance::foot($intent, $frame, $subject)), 'heading_deg' => $heading,
            'tilt_start_deg' => $end->tilt[0] / Angle::DEGREE,
        ];

        return array_intersect_key($placed, array_flip($known));
    }

    /**
     * The parameters of a part that the one before decides.
     *
     * @return list<string>
     */
    public static function decided(Intent $intent, int $k): array
    {
        return $k === 0 || $intent->join !== self::SEQUENCE
            ? [] : ['distance_m', 'radius_m', 'start_bearing_deg', 'height_m', 'heading_deg', 'tilt_start_deg'];
    }

    /** How many axes are played in all of it. */
    public static function axesOf(MovePlan $plan): int
    {
        return count(self::played($plan->flight));
    }

    /**
     * How hard it is: as its hardest part, and one more for the hand-over or the fingers that go at once (our judgement).
     *
     * @return int<1, 5>
     */
    public static function levelOf(MovePlan $plan): int
    {
        $levels = array_map(static fn (MovePlan $part): int => Catalogue::move($part->intent->move)->about()->level, $plan->parts);

        return max(1, min(5, 1 + max([0, ...$levels])));
    }

    /** One plan after another, $shift seconds later: ways add up, and what is left between their pictures is turned over the hand-over. */
    private static function after(MovePlan $first, MovePlan $next, float $shift): MovePlan
    {
        $a = $first->flight;
        $b = $next->flight;
        $last = $a->count() - 1;
        $turn = Angle::wrap($b->heading[0] - $a->heading[$last]);
        $tilt = $b->tilt[0] - $a->tilt[$last];
        $from = $shift + $next->onset;
        $seconds = max(2.0, $next->holdFrom - $next->onset);
        $offset = $first->flight->position($last);
        $base = $b->position(0);
        $flight = MovePlan::sample($shift + $b->duration(), static function (float $t) use (
            $a, $b, $shift, $base, $turn, $tilt, $from, $seconds,
        ): array {
            $i = $a->indexAt($t);
            $j = $b->indexAt(max(0.0, $t - $shift));
            $share = Ramp::rate(($t - $from) / $seconds);
            $place = $a->position($i);

            return [
                // What lies between the end of one and the start of the other is nothing, or a breath that the figure carries along.
                $place->plus($b->east[$j] - $base->east, $b->north[$j] - $base->north, $b->up[$j] - $base->up),
                $a->heading[$i] + $b->heading[$j] - $b->heading[0] + $share * $turn,
                $a->tilt[$i] + $b->tilt[$j] - $b->tilt[0] + $share * $tilt,
            ];
        });

        return new MovePlan(
            $first->intent, [], $flight, $first->onset, $first->holdFrom, $next->holdTo + $shift, $next->stop + $shift,
            $first->subject ?? $next->subject,
            min($first->ground, $next->ground), max($first->viewing, $next->viewing), max($first->pan, $next->pan), 0.0, $first->marks,
        );
    }

    private function together(Intent $intent, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        $plans = [];
        $taken = [];
        foreach (array_keys($intent->parts) as $k) {
            $plan = self::part($intent, $k, [], $frame, $mode);
            foreach (self::played($plan->flight) as $finger) {
                if (isset($taken[$finger])) {
                    throw new Refusal(
                        Fact::of(
                            'combination.both-play', first: Catalogue::nameOf($intent->parts[$taken[$finger]]['move']),
                            second: Catalogue::nameOf($intent->parts[$k]['move']), finger: $finger,
                        ),
                        "intent.parts.{$k}.move", Fact::of('combination.moves-different-fingers-one'),
                    );
                }
                $taken[$finger] = $k;
            }
            $plans[] = $plan;
        }
        $long = $plans[0];
        foreach ($plans as $plan) {
            $long = $plan->stop - $plan->onset > $long->stop - $long->onset ? $plan : $long;
        }
        $given = array_map(static fn (MovePlan $plan): callable => self::given($plan, $long), $plans);
        $start = $plans[0]->flight;
        [$east, $north] = [$start->east[0], $start->north[0]];
        $before = null;
        $flight = MovePlan::sample($long->flight->duration(), static function (float $t) use (
            $given, $start, &$east, &$north, &$before,
        ): array {
            $sum = ['run' => 0.0, 'slide' => 0.0, 'climb' => 0.0, 'turn' => 0.0, 'tilt' => 0.0];
            foreach ($given as $part) {
                foreach ($part($t) as $finger => $amount) {
                    $sum[$finger] += $amount;
                }
            }
            $heading = $start->heading[0] + $sum['turn'];
            if ($before !== null) {
                $middle = $start->heading[0] + ($sum['turn'] + $before['turn']) / 2;
                $run = $sum['run'] - $before['run'];
                $slide = $sum['slide'] - $before['slide'];
                $east += $run * sin($middle) + $slide * cos($middle);
                $north += $run * cos($middle) - $slide * sin($middle);
            }
            $before = $sum;

            return [new Position($east, $north, $start->up[0] + $sum['climb']), $heading, $start->tilt[0] + $sum['tilt']];
        });
        $subject = $plans[0]->subject;

        return new MovePlan(
            $intent, [], $flight, $long->onset, $long->holdFrom, $long->holdTo, $long->stop, $subject, $plans[0]->ground, $long->viewing,
            Statistics::greatest(array_map(static fn (MovePlan $plan): float => $plan->pan, $plans)), 0.0,
            [new Mark(Mark::END, $long->stop)], $plans,
        );
    }

    /**
     * Fingers that a flight needs: more than a tenth of a metre or a degree.
     *
     * @return list<value-of<Finger>>
     */
    private static function played(Flight $flight): array
    {
        $amounts = self::amounts($flight);

        return array_keys(array_filter([
            'run' => self::reach($amounts['run']) > 0.1, 'slide' => self::reach($amounts['slide']) > 0.1,
            'climb' => self::reach($amounts['climb']) > 0.1,
            'turn' => self::reach($amounts['turn']) > Angle::DEGREE, 'tilt' => self::reach($amounts['tilt']) > Angle::DEGREE,
        ]));
    }

    /** @param  list<float>  $values */
    private static function reach(array $values): float
    {
        return Statistics::span($values);
    }

    /**
     * What each finger has given by each sample: metres by the craft's own axes, and radians.
     *
     * @return array<value-of<Finger>, list<float>>
     */
    private static function amounts(Flight $flight): array
    {
        $amounts = ['run' => [0.0], 'slide' => [0.0], 'climb' => [0.0], 'turn' => [0.0], 'tilt' => [0.0]];
        for ($k = 1, $n = $flight->count(); $k < $n; $k++) {
            $e = $flight->east[$k] - $flight->east[$k - 1];
            $m = $flight->north[$k] - $flight->north[$k - 1];
            $heading = ($flight->heading[$k] + $flight->heading[$k - 1]) / 2;
            $amounts['run'][] = $amounts['run'][$k - 1] + $e * sin($heading) + $m * cos($heading);
            $amounts['slide'][] = $amounts['slide'][$k - 1] + $e * cos($heading) - $m * sin($heading);
            $amounts['climb'][] = $flight->up[$k] - $flight->up[0];
            $amounts['turn'][] = $flight->heading[$k] - $flight->heading[0];
            $amounts['tilt'][] = $flight->tilt[$k] - $flight->tilt[0];
        }

        return $amounts;
    }

    /**
     * What a part's fingers have given by a time of the whole, the part stretched to the seconds of the longest.
     *
     * @return callable(float): array<value-of<Finger>, float>
     */
    private static function given(MovePlan $plan, MovePlan $long): callable
    {
        $amounts = self::amounts($plan->flight);
        $stretch = ($plan->stop - $plan->onset) / max(0.1, $long->stop - $long->onset);
        $step = MovePlan::STEP;
        $last = $plan->flight->count() - 1;

        return static function (float $t) use ($amounts, $plan, $long, $stretch, $step, $last): array {
            $own = max(0.0, ($plan->onset + ($t - $long->onset) * $stretch) / $step);
            $k = (int) min($last - 1, floor($own));
            $share = min(1.0, $own - $k);

            return array_map(static fn (array $of): float => $of[$k] + $share * ($of[$k + 1] - $of[$k]), $amounts);
        };
    }
}
