<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\RoomNotes;
use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Area;
use Larkspur\Site\Site;

/**
 * What has to be seen to before a day counts as ready: each is passed by somebody's word in the field log, with who and when. A school says
 * which of them bind and which only warn. Larkspur states no law: whoever passes a gate has asked whom it says to ask.
 */
final readonly class Gates
{
    public const IDS = [
        'purpose', 'airspace', 'owner', 'return', 'home', 'sensing', 'caps', 'behind', 'close', 'people', 'water', 'calls', 'supervised',
    ];

    /** What binds where a school has not said otherwise (docs/schools.md). */
    public const BINDING = ['airspace', 'owner', 'return', 'home', 'caps', 'people', 'supervised'];

    /** Drills that are flown with a supervisor who is named first (common practice, no published source). */
    private const SUPERVISED = ['return-home', 'no-positioning', 'close-to-object'];

    /** Items of the field log that say the same: a thing is ticked in one place. */
    private const LISTED = ['home' => 'ground-home', 'return' => 'ground-return', 'sensing' => 'ground-sensing'];

    /**
     * @param  list<Gate>  $gates
     * @param  list<Fact>  $reasons  what speaks against flying, of the weather as it was planned with
     * @param  'go'|'wait'|'scrap'  $advised  what these reasons come to
     */
    private function __construct(public array $gates, public array $reasons, public string $advised)
    {
    }

    /**
     * @param  string  $purpose  of the day
     * @param  array<int, array{title: string, plan: Plan}>  $shots  by id
     * @param  list<string>  $binding  ids of gates that bind
     * @param  list<string>  $missing  what of the permission is not filled in
     */
    public static function of(
        string $purpose, Site $site, array $shots, ReturnHeight $return, FieldLog $log, array $binding, array $missing,
    ): self {
        $unasked = array_values(array_intersect(['airspace', 'authority', 'rule_source'], $missing));
        $near = self::titled($shots, Checklist::comesNear(...));
        // As the rigs of the day have it in the modes that are flown, where somebody set it.
        $set = array_values(array_unique(array_filter(array_map(
            static fn (array $one): ?string => $one['plan']->shot->tune()->obstacles, array_values($shots),
        ))));
        $asked = [
            ...trim($purpose) === '' ? [['purpose', Fact::of('gate.purpose'), []]] : [],
            ['airspace', $unasked === []
                ? Fact::of('gate.airspace', ceiling: Quantity::metres($site->ceiling))
                : Fact::of(
                    'gate.airspace-missing', missing: array_map(static fn (string $one): Fact => Fact::of("permission.$one"), $unasked),
                ), []],
            ['owner', Fact::of(in_array('owner', $missing, true) ? 'gate.owner-missing' : 'gate.owner'), []],
            ['return', $return->tallest === null
                ? Fact::of('gate.return', height: Quantity::metres($return->height))
                : Fact::of('gate.return-over', height: Quantity::metres($return->height), tallest: $return->tallest), []],
            ['home', Fact::of('gate.home'), []],
            ['sensing', $set === [] ? Fact::of($near === [] ? 'gate.sensing' : 'gate.sensing-off') : Fact::of(
                $near === [] ? 'gate.sensing-as-set' : 'gate.sensing-as-set-near',
                responses: array_map(static fn (string $one): Fact => Fact::of("obstacles.$one"), $set),
            ), $near],
            [
                'caps', Fact::of('gate.caps', ceiling: Quantity::metres($site->ceiling), sight: Quantity::metres($site->sightLine)), [],
            ],
        ];
        $each = [
            'behind' => static fn (Plan $plan): bool => RoomNotes::of($plan)->behind !== null,
            'close' => static fn (Plan $plan): bool => Checklist::comesNear($plan) || self::finds($plan, 'gap'),
            'people' => static fn (Plan $plan): bool => $site->areasOf(Area::PEOPLE) !== [] || $plan->move->subject?->moves() === true,
            'water' => static fn (Plan $plan): bool => self::finds($plan, 'water'),
            'supervised' => static fn (Plan $plan): bool => in_array($plan->shot->intent->move, self::SUPERVISED, true),
        ];
        foreach ($each as $id => $does) {
            $titles = self::titled($shots, $does);
            if ($titles !== []) {
                $asked[] = [$id, Fact::of("gate.$id"), $titles];
            }
        }
        if (count(array_unique(array_map(static fn (array $one): string => $one['plan']->shot->rig->craft, $shots))) > 1) {
            $asked[] = ['calls', Fact::of('gate.calls'), []];
        }
        $gates = [];
        foreach ($asked as [$id, $text, $titles]) {
            $item = self::LISTED[$id] ?? "gate-$id";
            $tick = $log->ticks[$item] ?? null;
            $gates[] = new Gate($id, $item, $text, in_array($id, $binding, true), ($tick['on'] ?? false) ? $tick : null, $titles);
        }
        [$reasons, $advised] = self::weather($shots);

        return new self($gates, $reasons, $advised);
    }

    /**
     * Titles of the shots that do something.
     *
     * @param  array<int, array{title: string, plan: Plan}>  $shots
     * @param  callable(Plan): bool  $does
     * @return list<string>
     */
    private static function titled(array $shots, callable $does): array
    {
        $titles = [];
        foreach ($shots as ['title' => $title, 'plan' => $plan]) {
            if ($does($plan)) {
                $titles[] = $title;
            }
        }

        return $titles;
    }

    private static function finds(Plan $plan, string $id): bool
    {
        return in_array($id, array_map(static fn (Finding $one): string => $one->id, $plan->findings), true);
    }

    /** @return list<Gate> those that nobody has passed */
    public function open(): array
    {
        return array_values(array_filter($this->gates, static fn (Gate $one): bool => $one->passed === null));
    }

    /** Whether nothing that binds is open. */
    public function isReady(): bool
    {
        return array_filter($this->open(), static fn (Gate $one): bool => $one->binds) === [];
    }

    /**
     * What the wind that the day is planned with says of flying: broken for every shot is a day to scrap, for some one to wait with.
     *
     * @param  array<int, array{title: string, plan: Plan}>  $shots
     * @return array{list<Fact>, 'go'|'wait'|'scrap'}
     */
    private static function weather(array $shots): array
    {
        $reasons = [];
        $broken = 0;
        foreach ($shots as ['title' => $title, 'plan' => $plan]) {
            foreach ($plan->findings as $finding) {
                if ($finding->id === 'wind' && $finding->state !== Finding::OK) {
                    $reasons[] = Fact::of('gate.weather-reason', shot: $title, why: $finding->text);
                    $broken += $finding->state === Finding::BROKEN ? 1 : 0;
                }
            }
        }

        return [$reasons, match (true) {
            $shots !== [] && $broken === count($shots) => 'scrap',
            $reasons !== [] => 'wait',
            default => 'go',
        }];
    }
}
