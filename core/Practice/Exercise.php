<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Flight;
use Larkspur\Flight\Air;
use Larkspur\Flight\CraftModel;
use Larkspur\Flight\Pose;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Flight\Surroundings;
use Larkspur\Geo\Position;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\MovePlan;
use Larkspur\Refusal;
use Larkspur\Site\Observer;

/**
 * Something to practise: a planned shot, a drill, or the site as it is, under conditions, from a seed (schema "larkspur/exercise/1",
 * docs/formats.md). Complete: whoever has it can compile its world and fly a recording of it again.
 */
final readonly class Exercise
{
    public const SCHEMA = 'larkspur/exercise/1';

    /** A planned shot or a drill is judged against its plan; the site as it is has none. */
    public const KINDS = ['plan', 'free'];

    /** Longest practice flight, s. */
    public const LONGEST = 600.0;

    /** A stretch that is looped begins so long before its first second. */
    private const RUN_IN = 2.0;

    /** Before and after a bad second, s (common practice, no published source). */
    private const ABOUT = 2.0;

    /** How far behind the take-off point its pilot stands where the move begins there, m (common practice, no published source). */
    private const BEHIND = 5.0;

    private const NEAR_HOME = 4.0;

    /** Beyond everything that is flown and stands there the ground goes on, m. */
    private const ROOM = 80.0;

    public Plan $plan;

    /** @param  value-of<self::KINDS>  $kind */
    public function __construct(
        public string $kind, public string $title, public Shot $shot, public Conditions $conditions, public int $seed,
    ) {
        $this->plan = Planner::plan($shot);
    }

    /**
     * An exercise from what a person chose: conditions that change the plan are worked into it.
     *
     * @param  value-of<self::KINDS>  $kind
     */
    public static function of(string $kind, string $title, Shot $shot, Conditions $conditions, int $seed): self
    {
        if ($conditions->noseIn) {
            $heading = Planner::plan($shot)->move->intent->number('heading_deg');
            if ($heading === null || $shot->intent->subject !== null) {
                throw new Refusal(
                    Fact::of('exercise.heading-is-the-moves'), 'conditions.nose_in', Fact::of('exercise.a-move-with-a-heading'),
                );
            }
            $shot = $shot->withIntent($shot->intent->with(['heading_deg' => fmod($heading + 180, 360)]));
        }
        $shot = $shot->under($conditions->rig($shot->rig, $shot->mode), $conditions->wind ?? $shot->wind);

        return new self($kind, $title, $shot, $conditions->drawn($seed), $seed);
    }

    public static function read(Fields $fields, bool $kept = false): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('shot.file-says', schema: $schema), $fields->place('schema'), Fact::of('shot.text', schema: self::SCHEMA),
            );
        }
        /** @var value-of<self::KINDS> $kind */
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? 'plan';

        return new self(
            $kind, $fields->textOrNull('title') ?? '', Shot::read($fields->group('shot'), $kept),
            Conditions::read($fields->groupOrNull('conditions')), (int) $fields->number('seed', 0, 2 ** 31),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'schema' => self::SCHEMA, 'kind' => $this->kind, 'title' => $this->title, 'shot' => $this->shot->toArray(),
            'conditions' => $this->conditions->toArray(), 'seed' => $this->seed,
        ];
    }

    /**
     * The world that it is flown in.
     *
     * @throws Refusal where it would begin inside something
     */
    public function world(): World
    {
        $shot = $this->shot;
        $response = ResponseSheet::of($shot->rig, $shot->mode, $this->model());
        $flight = $this->plan->move->flight;
        $start = $this->start();
        $reach = self::ROOM + max(array_map(
            static fn (array $values): float => max(abs(Statistics::least($values)), abs(Statistics::greatest($values))),
            [$flight->east, $flight->north],
        ));
        $around = Surroundings::of(
            $shot->site, $shot->rig->width / 2, $reach, $shot->site->ground === null ? min(0.0, $this->plan->move->ground) : 0.0,
            $this->kind === 'plan' ? $this->course()->stands : [],
        );
        $inside = $around->touched($start->east, $start->north, $start->up);
        if ($inside !== null) {
            throw new Refusal(
                Fact::of('exercise.begins-inside', what: $inside['name']), 'shot.intent', Fact::of('exercise.a-start-in-the-open'),
            );
        }
        $battery = 60 * ($this->conditions->batteryMinutes ?? $shot->rig->batteryMinutes);

        return new World(
            $response,
            Air::of($shot->wind, $flight->up[0] - $this->plan->move->ground, $this->seed, $this->conditions->draught),
            $around, $start, $battery, $battery * $this->conditions->reserve,
        );
    }

    /**
     * What a pass is judged against: the whole plan, or for a stretch of it the move alone, since a part lacks what makes the whole. A
     * stretch of a figure is not judged: null.
     */
    public function judgedAgainst(): ?Intent
    {
        $intent = $this->shot->intent;
        if ($this->conditions->loop === null) {
            // Where nothing was stated, what the sheet showed is what was meant.
            return $intent->parameters === [] && $intent->parts === [] ? $this->plan->move->intent : $intent;
        }
        if (Catalogue::move($intent->move)->judging($intent)->path === PathKind::Figure || $intent->parts !== []) {
            return null;
        }

        return $intent->stretch();
    }

    /**
     * The stretch about a bad second that is worth flying again and again; a stretch of a figure is not.
     *
     * @param  float  $worst  second of the plan
     * @return ?array{float, float}
     */
    public function stretchAbout(float $worst): ?array
    {
        if ($this->kind === 'free' || $this->plan->move->marks !== [] || $this->shot->intent->parts !== []) {
            return null;
        }
        $end = $this->plan->move->flight->duration();
        $from = round(max(0.0, min($worst - self::ABOUT, $end - 2 * self::ABOUT)), 1);

        return [$from, round(min($end, $from + 2 * self::ABOUT + 1), 1)];
    }

    /** What is laid out for it, beside what the site has. */
    public function course(): Course
    {
        return Course::of($this->plan->move, $this->shot->site->solids);
    }

    /** How the craft answers: a ducted one always as one, however it was asked. */
    public function model(): CraftModel
    {
        $ducted = $this->shot->rig->ducted;
        $asked = $this->conditions->model;

        return $ducted === null || $asked->isDucted()
            ? $asked : ($ducted->selfLevelling ? CraftModel::Levelling : CraftModel::Rates);
    }

    /** Where the flight begins, and how it moves then. */
    public function start(): Pose
    {
        $flight = $this->plan->move->flight;
        if ($this->conditions->fromPad) {
            return new Pose(0.0, 0.0, $this->shot->site->ground?->at(0.0, 0.0) ?? 0.0, $flight->heading[0], $flight->tilt[0]);
        }
        $ducted = $this->model()->isDucted() ? $this->shot->rig->ducted : null;
        $at = $flight->indexAt($this->startsAt());
        if ($this->conditions->loop === null || $ducted !== null) {
            // A ducted craft can't be set under way: how it would lean is not in the plan.
            return new Pose(
                $flight->east[$at], $flight->north[$at], $flight->up[$at], $flight->heading[$at], $ducted->camera ?? $flight->tilt[$at],
            );
        }

        return self::moving($flight, $at);
    }

    /** Second of the plan at which the flight begins. */
    public function startsAt(): float
    {
        return $this->conditions->loop === null ? 0.0 : max(0.0, $this->conditions->loop[0] - self::RUN_IN);
    }

    private static function moving(Flight $flight, int $at): Pose
    {
        $a = max(0, $at - 1);
        $b = min($flight->count() - 1, $at + 1);
        $span = max(1, $b - $a) * MovePlan::STEP;
        $way = $flight->position($b)->minus($flight->position($a));

        return new Pose(
            $flight->east[$at], $flight->north[$at], $flight->up[$at], $flight->heading[$at], $flight->tilt[$at],
            $way->east / $span, $way->north / $span, $way->up / $span, ($flight->heading[$b] - $flight->heading[$a]) / $span,
            ($flight->tilt[$b] - $flight->tilt[$a]) / $span,
        );
    }

    /**
     * Where the eyes of its pilot are: at the take-off point, or a little behind where the move itself begins there.
     */
    public function pilot(): Position
    {
        if ($this->conditions->pilot !== null) {
            [$east, $north] = $this->conditions->pilot;

            return new Position($east, $north, ($this->shot->site->ground?->at($east, $north) ?? 0.0) + Observer::EYES);
        }
        $flight = $this->plan->move->flight;
        $near = hypot($flight->east[0], $flight->north[0]) < self::NEAR_HOME;
        $heading = $flight->heading[0] + ($this->conditions->noseIn || $this->shot->intent->move === 'nose-in-bay' ? M_PI : 0.0);
        $east = $near ? $flight->east[0] - self::BEHIND * sin($heading) : 0.0;
        $north = $near ? $flight->north[0] - self::BEHIND * cos($heading) : 0.0;

        return new Position($east, $north, ($this->shot->site->ground?->at($east, $north) ?? 0.0) + Observer::EYES);
    }

    /** @return list<Fact> what to mind where the same is flown with a craft: the rules of the place and a licence come first */
    public function caution(): array
    {
        return [
            ...Catalogue::move($this->shot->intent->move)->about()->caution ? [Fact::of('exercise.supervised')] : [],
            ...$this->model()->isDucted() ? [Fact::of('exercise.ducted-room')] : [],
            Fact::of('exercise.outside'),
        ];
    }
}
