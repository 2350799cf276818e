<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\DayEntry;
use App\Models\FlightDay;
use App\Models\Shot;
use Documents\Day\ActionCard;
use Documents\Day\BatteriesReading;
use Documents\Day\Caution;
use Documents\Day\DayCard;
use Documents\Day\DayList;
use Documents\Day\DayPlan;
use Documents\Day\DayProblem;
use Documents\Day\FieldLogDocument;
use Documents\Day\GatesDocument;
use Documents\Day\ReturnHeightDocument;
use Documents\Day\TimetableDocument;
use Documents\InHands;
use Documents\Light\SunDayDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Choreography\Notes\MixedLight;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\FlightDay\ActionCards;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Cautions;
use Larkspur\FlightDay\Checklist;
use Larkspur\FlightDay\Day;
use Larkspur\FlightDay\DayLimits;
use Larkspur\FlightDay\DayShot;
use Larkspur\FlightDay\FieldEntry;
use Larkspur\FlightDay\FieldLog;
use Larkspur\FlightDay\Gates;
use Larkspur\FlightDay\OrderSearch;
use Larkspur\FlightDay\ReturnHeight;
use Larkspur\Refusal;
use Larkspur\Site\Light;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;
use Larkspur\Site\Zone;

/**
 * Works a day out: every shot planned in the day's wind, its light, an order and a timetable, the way home, lists, cautions, and the log.
 */
final readonly class PlanDay
{
    /** Arrival is kept to the second: whatever was made within it was made without knowing. */
    private const SECOND = 0.999;

    /** How long a plan is kept that nobody asks for again, s. */
    private const KEPT = 86400;

    /** As it was worked out last, unless something that it rests on has changed since. */
    public function __invoke(FlightDay $day): DayPlan
    {
        $key = 'day-plan.'.$this->restsOn($day);
        $kept = Cache::get($key);
        if ($kept instanceof DayPlan) {
            return $kept;
        }
        $plan = $this->work($day);
        Cache::put($key, $plan, self::KEPT);

        return $plan;
    }

    /** A name for everything that a plan is made of: the day, its site, its shots with their rigs and hands, and what was logged. */
    private function restsOn(FlightDay $day): string
    {
        $shots = Shot::query()->with(['operator.school', 'site'])->oldest('id');
        $shots->whereIn('id', $this->wanted($day));

        return hash('sha256', (string) json_encode([
            // A plan that an earlier release kept has another shape: it is worked out anew.
            hash_file('xxh128', base_path('docs/openapi.json')),
            $day->id, $day->document, $day->day(), $day->title, $day->purpose, $day->school->house_style,
            $day->updated_at, $day->site->only(['id', 'name']),
            self::digest($day->site, 'document'),
            array_map(static fn (Shot $shot): array => [
                $shot->only(['id', 'title', 'mode', 'rig_id', 'site_id']), self::digest($shot, 'intent', 'wind', 'brief'),
                self::digest($shot->site, 'document', 'subjects'),
                $shot->operator->only(['stick_mode', 'wheel_up']), $shot->operator->school->house_style,
            ], $shots->get()->all()),
            DB::table('day_entries')->where('flight_day_id', $day->id)->selectRaw('COUNT(*) AS many, MAX(id) AS last')->first(),
        ]));
    }

    /** What stands in columns of a record, in short. */
    private static function digest(Model $record, string ...$columns): string
    {
        return hash('xxh128', implode("\n", array_map(
            static fn (string $column): string => (string) json_encode($record->getRawOriginal($column)), $columns,
        )));
    }

    /** @return list<mixed> ids of the shots of a day, in the order in which they were put there */
    private function wanted(FlightDay $day): array
    {
        return array_column(is_array($day->document['shots'] ?? null) ? $day->document['shots'] : [], 'shot_id');
    }

    private function work(FlightDay $day): DayPlan
    {
        $document = Fields::of($day->document, 'document');
        $site = $day->site->sheet();
        $sun = SunDay::of($day->day(), $site->home);
        $log = self::log($day);
        $wind = is_array($day->document['weather'] ?? null)
            ? array_intersect_key($day->document['weather'], ['from_deg' => 1, 'mean_mps' => 1, 'gust_mps' => 1])
            : null;
        $planned = $this->shots($day, $wind);
        $asked = $this->asked($document, $planned, $sun, $log);
        $problem = null;
        $timetable = null;
        $batteries = null;
        $begins = null;
        $hours = null;
        try {
            $begins = self::time($day, $site->zone, $document->text('from'));
            $batteries = Batteries::read($document->group('batteries'));
            $hours = new Day(
                $begins, self::time($day, $site->zone, $document->text('to')),
                $document->flag('replanned') ? $batteries->after($log, $begins) : $batteries, $asked,
                swap: 60 * ($document->numberOrNull('swap_min', ...DayLimits::SWAP, unit: 'min') ?? Day::SWAP / 60), zone: $site->zone,
                daylight: Light::daylight($day->day(), $site->home),
            );
            $mixed = static function (int $id, float $at) use ($planned, $site): ?Fact {
                $light = MixedLight::of($planned[$id]['plan'], Sun::at($at, $site->home));

                return $light?->state === MixedLight::MIXED ? $light->sentence() : null;
            };
            $timetable = TimetableDocument::of(OrderSearch::solve($hours), $mixed);
        } catch (Refusal $refusal) {
            $problem = DayProblem::of($refusal);
        }
        $plans = array_values(array_map(static fn (array $one): Plan => $one['plan'], $planned));
        $margin = $document->numberOrNull('return_margin_m', ...DayLimits::RETURN_MARGIN, unit: 'm') ?? ReturnHeight::MARGIN;
        $return = ReturnHeight::of($site, $plans, $margin);
        $power = $batteries ?? Batteries::assumed();

        $missing = array_values(array_filter(
            ['airspace', 'authority', 'owner', 'rule_source'],
            static fn (string $name): bool => trim((string) ($document->groupOrNull('permission')?->textOrNull($name) ?? '')) === '',
        ));
        $titled = array_map(static fn (array $one): array => ['title' => $one['shot']->title, 'plan' => $one['plan']], $planned);
        $gates = Gates::of($day->purpose, $site, $titled, $return, $log, $day->school->gatesThatBind(), $missing);

        return new DayPlan(
            zone: $site->zone->name, begins: $begins === null ? null : SunDay::written($begins), timetable: $timetable, problem: $problem,
            batteries: $batteries === null ? null : BatteriesReading::of($batteries, $hours), light: SunDayDocument::of($sun),
            return: ReturnHeightDocument::of($return),
            lists: array_map(DayList::of(...), $this->lists($day, $planned, $power, $return, $asked)),
            cautions: array_map(
                static fn (array $one): Caution => Caution::of($one, $day->updated_at->toDateString()),
                Cautions::of($site, $titled, $power),
            ),
            cards: array_values(array_map(fn (array $one): InHands => $this->card($one['shot'], $one['plan'], $sun), $planned)),
            log: FieldLogDocument::of($log),
            missing: $missing, gates: GatesDocument::of($gates),
            actions: array_map(ActionCard::of(...), ActionCards::all()),
        );
    }

    public static function log(FlightDay $day): FieldLog
    {
        /** @var Collection<int, DayEntry> $entries */
        $entries = DayEntry::query()->with('author')->where('flight_day_id', $day->id)->get();

        return FieldLog::of(array_values($entries->map(static fn (DayEntry $entry): FieldEntry => FieldEntry::read(
            $entry->uuid, Fields::of(['kind' => $entry->kind, 'item' => $entry->item, 'payload' => $entry->payload]),
            (float) $entry->made_at->format('U.v'), (float) $entry->created_at->format('U') + self::SECOND, $entry->device,
            $entry->author->name,
        ))->all()));
    }

    /** Hours are those of the site’s clock; past midnight is written on from 24:00. */
    private static function time(FlightDay $day, Zone $zone, string $hours): float
    {
        if (preg_match('/^([0-3]\d):([0-5]\d)$/', $hours, $m) !== 1) {
            throw new Refusal(Fact::of('day.no-time', hours: $hours), 'document.from', Fact::of('expected.hours-and-minutes'));
        }

        return $zone->instant($day->day(), (int) $m[1], (int) $m[2]);
    }

    /**
     * @param  ?array<string, mixed>  $wind
     * @return array<int, array{shot: Shot, plan: Plan}> by id
     */
    private function shots(FlightDay $day, ?array $wind): array
    {
        $wanted = $this->wanted($day);
        $query = Shot::query()->with(['site', 'rig.model', 'operator.school']);
        $query->whereIn('id', $wanted);
        $found = $query->get()->keyBy('id');
        $out = [];
        foreach ($wanted as $id) {
            $shot = $found->get($id);
            if ($shot instanceof Shot) {
                $out[$shot->id] = ['shot' => $shot, 'plan' => Planner::plan($shot->plannedIn($wind))];
            }
        }

        return $out;
    }

    /**
     * @param  array<int, array{shot: Shot, plan: Plan}>  $planned
     * @return list<DayShot>
     */
    private function asked(Fields $document, array $planned, SunDay $sun, FieldLog $log): array
    {
        $out = [];
        foreach ($document->groups('shots') as $fields) {
            $id = (int) $fields->number('shot_id', 1);
            if (! isset($planned[$id])) {
                continue;
            }
            ['shot' => $shot, 'plan' => $plan] = $planned[$id];
            $flown = $document->flag('replanned') ? $log->flown("shot-$id") : 0;
            $out[] = DayShot::asked($id, $shot->title, $plan, $shot->brief(), $fields, $sun, $flown, $document->flag('only_must'));
        }

        return array_values(array_filter($out));
    }

    /**
     * @param  array<int, array{shot: Shot, plan: Plan}>  $planned
     * @param  list<DayShot>  $asked
     * @return list<array{id: string, title: Fact, items: list<array{id: string, text: Fact}>}>
     */
    private function lists(FlightDay $day, array $planned, Batteries $batteries, ReturnHeight $return, array $asked): array
    {
        $crafts = array_values(array_unique(array_map(static fn (array $one): string => $one['shot']->rig->craft, $planned)));
        // What goes into the bag follows from what the shots' cameras are set to; what the day names besides goes in too.
        $exposures = array_values(array_filter(array_map(
            static fn (array $one): ?ExposurePlan => TellExposure::ofShot($one['shot']), array_values($planned),
        )));
        $numbers = static fn (string $key): array => array_map(
            static fn (mixed $one): int => is_numeric($one) ? (int) $one : 0, (array) ($day->document[$key] ?? []),
        );
        $factors = [...array_map(static fn (ExposurePlan $one): int => (int) $one->filter->factor, $exposures), ...$numbers('filters')];
        $wanted = array_filter(array_unique($factors), static fn (int $factor): bool => $factor > 1);
        $filters = array_map(static fn (int $factor): string => "ND$factor", $wanted);
        $kelvins = array_values(array_filter(array_unique(
            [...array_map(static fn (ExposurePlan $one): int => $one->kelvin, $exposures), ...$numbers('kelvins')],
        )));
        $open = count($planned) - count($exposures);
        $near = array_filter($planned, static fn (array $one): bool => Checklist::comesNear($one['plan'])) !== [];
        $ducted = array_filter($planned, static fn (array $one): bool => $one['plan']->shot->rig->ducted !== null) !== [];

        return Checklist::of(
            $crafts, $batteries, array_values($filters), $kelvins, $return->height, $batteries->areCold(), $ducted, $near, $open,
            array_sum(array_map(static fn (DayShot $one): float => $one->passes * $one->pass, $asked)),
        );
    }

    /** @return InHands<DayCard> */
    private function card(Shot $shot, Plan $plan, SunDay $sun): InHands
    {
        $brief = $shot->brief();
        $windows = DayShot::windows($plan, $brief, $sun);
        $named = array_column($shot->site->subjects, 'name', 'id');
        $card = DayCard::of(
            $shot->id, $shot->title, $shot->rig->version, $shot->mode, $plan, $brief, $windows, TellExposure::ofShot($shot),
            $named[$shot->subjectId()] ?? null,
        );

        return new InHands($card, $plan->shot->sticks);
    }
}
