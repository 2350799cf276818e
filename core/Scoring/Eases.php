<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;
use Larkspur\Rig\ModeTune;

/** How gently each held axis started and stopped, and whether the axes did so together. */
final readonly class Eases
{
    /** Slow wander of the sensor of each axis, m or rad per root second. */
    private const WALK = ['travel' => 0.12, 'climb' => 0.05, 'turn' => 0.1 * Angle::DEGREE, 'tilt' => 0.03 * Angle::DEGREE];

    /** Noise of a position up to which the finger behind it can be worked back, m. */
    private const QUIET = 0.05;

    /** Held rate over its noise from which its start can be told. */
    private const TELLS = 4.0;

    /**
     * @param  array<value-of<Axis>, array{start: ?EaseFit, stop: ?EaseFit}>  $fits
     * @param  list<array{finger: Finger, axis: Axis, end: 'start'|'stop', at: float, seconds: float}>  $flicks  read from the fingers
     * @param  ?Sync  $sync  null with fewer than two axes
     */
    private function __construct(public array $fits, public array $flicks, public ?Sync $sync)
    {
    }

    /**
     * @param  float  $lead  seconds by which rotation was planned to follow translation
     * @param  ?Sticks  $sticks  what the fingers did, where the log has it
     */
    public static function of(Take $take, float $lead, ?Sticks $sticks = null): self
    {
        $flicks = $sticks?->flicks($take->grid->t[$take->main->holdFrom], $take->grid->t[$take->main->holdTo]) ?? [];
        $fits = [];
        $t = $take->grid->t;
        foreach ($take->spans as $name => $span) {
            $axis = Axis::from($name);
            $samples = match ($axis) {
                Axis::Travel => $take->path->rawDistance($take->main),
                Axis::Climb => $take->grid->samples->z,
                Axis::Turn => $take->grid->samples->heading,
                Axis::Tilt => $take->grid->samples->tilt,
            };
            $speed = $take->speedometers[$name] ?? null;
            $middle = ($t[$span->holdFrom] + $t[$span->holdTo]) / 2;
            [$times, $samples, $sigma, $walk] = $speed === null
                ? [$take->grid->samples->t, $samples, $take->channel($axis)->sigma, self::WALK[$name]]
                : [$speed->t, $speed->way, $speed->sigma * $speed->step, max(0.03, $speed->sigma * sqrt($speed->step))];
            $fits[$name] = [
                'start' => EaseFit::fit($times, $samples, ($t[$span->from] + $t[$span->holdFrom]) / 2, false, $middle, $sigma, $walk),
                'stop' => EaseFit::fit($times, $samples, ($t[$span->to] + $t[$span->holdTo]) / 2, true, $middle, $sigma, $walk),
            ];
        }
        if ($sticks === null) {
            $fits = self::byFingersBehind($take, $fits);
        }
        foreach ($flicks as ['axis' => $axis, 'end' => $end, 'seconds' => $seconds, 'at' => $at]) {
            // A flick is timed over the middle 60 % of the finger's way.
            $ease = $seconds / 0.6;
            $ends = $fits[$axis->value] ?? ['start' => null, 'stop' => null];
            $ends[$end] = $ends[$end]?->byTheFinger($ease) ?? EaseFit::ofFinger($ease, $at);
            $fits[$axis->value] = ['start' => $ends['start'], 'stop' => $ends['stop']];
        }

        return new self($fits, $flicks, self::sync($take, $lead));
    }

    /**
     * Where no column tells of the fingers, an ease that the craft alone made of a stick that was let go.
     *
     * @param  array<value-of<Axis>, array{start: ?EaseFit, stop: ?EaseFit}>  $fits
     * @return array<value-of<Axis>, array{start: ?EaseFit, stop: ?EaseFit}>
     */
    private static function byFingersBehind(Take $take, array $fits): array
    {
        $craft = ModeTune::ordinary();
        $t = $take->grid->t;
        foreach ($fits as $name => $ends) {
            $axis = Axis::from($name);
            // A turn or a tilt follows its finger at once: what is seen is what was pressed.
            if ($axis->rotates() || $take->channel($axis)->sigma > self::QUIET) {
                continue;
            }
            $span = $take->spans[$name];
            $middle = ($t[$span->holdFrom] + $t[$span->holdTo]) / 2;
            [$times, $way, $limits] = $axis === Axis::Travel
                ? [$take->grid->samples->t, $take->path->rawDistance($take->main), $craft->response(Finger::Run)]
                : [$take->grid->samples->t, $take->grid->samples->z, $craft->response(Finger::Climb)];
            $response = new Response(max(0.05, abs($span->rate)), $limits->accelerate, $limits->brake, $limits->lag);
            foreach (['start' => [$span->from, $span->holdFrom], 'stop' => [$span->to, $span->holdTo]] as $end => [$a, $b]) {
                $finger = FingerBehind::fit($times, $way, ($t[$a] + $t[$b]) / 2, $end === 'stop', $middle, $response);
                if ($finger !== null && $finger->wasLetGo()) {
                    $ends[$end] = $ends[$end]?->byTheFinger($finger->seconds);
                }
            }
            $fits[$name] = ['start' => $ends['start'], 'stop' => $ends['stop']];
        }

        return $fits;
    }

    /**
     * How far the axes' half-rate times lie apart, at the start and at the stop; the larger counts.
     *
     * At the start rotation may follow translation by the planned lead at no cost; ahead of it, it costs double.
     */
    private static function sync(Take $take, float $lead): ?Sync
    {
        // In a reveal the tilt has a time of its own.
        if (count($take->spans) < 2 || $take->judging->framed === Framed::Reveal) {
            return null;
        }
        $starts = $stops = ['moves' => [], 'rotates' => []];
        foreach ($take->spans as $name => $span) {
            // An axis that hardly stands out of its noise does not tell when it set out.
            if ($span->rate < self::TELLS * Statistics::median($take->hold($take->channel(Axis::from($name))->rateNoise()))) {
                continue;
            }
            $kind = Axis::from($name)->rotates() ? 'rotates' : 'moves';
            [$starts[$kind][], $stops[$kind][]] = self::halfRateTimes($take, $name, $span);
        }
        $allStops = [...$stops['moves'], ...$stops['rotates']];
        if (count($allStops) < 2) {
            return null;
        }
        $sync = new Sync(Statistics::span($allStops), Statistics::span($allStops), max($allStops), 'stop');
        foreach (array_filter($starts) as $times) {
            $sync = Sync::worse($sync, new Sync(Statistics::span($times), Statistics::span($times), max($times), 'start'));
        }
        if ($starts['moves'] !== [] && $starts['rotates'] !== []) {
            $late = max($starts['rotates']) - min($starts['moves']) - $lead;
            $early = max($starts['moves']) - min($starts['rotates']);
            $sync = Sync::worse($sync, new Sync($late, $late, max($starts['rotates']), 'start'));
            $sync = Sync::worse($sync, new Sync(2 * $early, $early, max($starts['moves']), 'start'));
        }

        return $sync;
    }

    /** @return array{float, float} first and last time at which the 1 s mean reaches half the held rate */
    private static function halfRateTimes(Take $take, string $name, Span $span): array
    {
        $mean = Statistics::movingAverage($take->rate[$name], 11);
        $first = $last = null;
        for ($i = $span->from; $i <= $span->to; $i++) {
            if ($mean[$i] >= 0.5 * $span->rate) {
                $first ??= $i;
                $last = $i;
            }
        }

        return [$take->grid->t[$first ?? $span->from], $take->grid->t[$last ?? $span->to]];
    }

    /** @return list<array{Axis, string, EaseFit}> axis, 'start' or 'stop', fit */
    public function all(): array
    {
        $all = [];
        foreach ($this->fits as $name => $ends) {
            foreach ($ends as $end => $fit) {
                if ($fit !== null) {
                    $all[] = [Axis::from($name), $end, $fit];
                }
            }
        }

        return $all;
    }

    /** Score of one fit, 0 to 100. */
    public static function score(Axis $axis, float $seconds): float
    {
        return ($axis->rotates() ? MetricScale::EaseAngle : MetricScale::EaseTravel)->score($seconds);
    }
}
