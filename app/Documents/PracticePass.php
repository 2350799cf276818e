<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Recording;
use App\Models\Take;
use App\Spoken;
use Documents\Document;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Practice\NextExercise;
use Larkspur\Practice\PassOfMany;

/** What came of a practice flight: its petal, one sentence, its worst second; and among several passes which is the best. */
final readonly class PracticePass implements Document
{
    /**
     * @param  ?string  $headline  of the judgement; null where there is none
     * @param  ?float  $worstS  second of the recording at which the costliest fault is worst
     * @param  ?string  $worst  what it was, and what to try
     * @param  string|Fact|null  $ended  what ended the flight before its pilot did
     * @param  ?float  $endedAtS  of the flight
     * @param  bool  $recorded  whether the camera recorded long enough for a pass
     * @param  ?string  $said  why a recorded pass has no judgement
     * @param  ?LoopStretch  $loop  about the worst second
     * @param  ?NextStep  $next  once there are enough passes
     * @param  list<PassScore>  $passes  of the same exercise today, the latest last
     */
    public function __construct(
        public int $id, public string $uuid, public ?TakeDocument $take, public ?string $headline, public ?float $worstS,
        public ?string $worst, public string|Fact|null $ended, public ?float $endedAtS, public bool $brokenOff, public bool $recorded,
        public ?string $said, public array $passes, public ?int $best, public string|Fact|null $bestReason,
        public ?LoopStretch $loop, public ?NextStep $next,
    ) {
    }

    public static function of(Recording $recording): self
    {
        $take = $recording->take_id === null ? null
            : Take::query()->with(['operator', 'shot', 'judgement'])->withCount('comments')->find($recording->take_id);
        $speaker = Spoken::to($take?->held()->mode ?? StickMode::Mode2);
        $outcome = $speaker->saidThroughout($recording->outcome);
        $judged = $take?->judgement === null ? [] : $speaker->saidThroughout($take->judgement->document);
        $fault = $judged['faults'][0] ?? null;
        $passes = self::passes($recording);
        $best = PassOfMany::best($passes, $recording->operator->training()->passes);

        return new self(
            $recording->id, $recording->uuid, $take === null ? null : TakeDocument::of($take),
            $judged['headline'] ?? $judged['reason'] ?? null,
            $fault['t_s'] ?? null, $fault === null ? null : trim(($fault['picture'] ?? '').' '.($fault['try'] ?? '')),
            $outcome['ended'] ?? null, $outcome['ended_at_s'] ?? null, $outcome['broken_off'] ?? false, $outcome['recorded'] ?? false,
            $take === null ? $outcome['said'] ?? null : null,
            array_map(static fn (PassOfMany $one): PassScore => new PassScore($one->take, $one->score), $passes),
            $best?->take, $best === null || count($passes) < 2 ? null : $best->reason($passes),
            self::loop($recording, $fault['t_s'] ?? null), $best === null ? null : self::next($recording),
        );
    }

    private static function loop(Recording $recording, ?float $worst): ?LoopStretch
    {
        $stretch = $worst === null ? null : $recording->practised()->stretchAbout($worst);

        return $stretch === null ? null : new LoopStretch(...$stretch);
    }

    private static function next(Recording $recording): NextStep
    {
        $exercise = $recording->practised();
        $next = NextExercise::after($exercise, $recording->played(), $recording->shot_id !== null);

        return new NextStep($next->value, $next->said(), $next->wind($exercise)?->toArray());
    }

    /** @return list<PassOfMany> */
    private static function passes(Recording $recording): array
    {
        $query = Recording::query()->with('take')->where('operator_id', $recording->operator_id)->where('kind', Recording::FLIGHT)
            ->where('sheet', $recording->sheet)->whereNotNull('take_id')
            ->where('made_at', '>=', $recording->made_at->copy()->subHours(12));
        $passes = [];
        foreach ($query->oldest('id')->limit(40)->get() as $one) {
            // The same air and start may be another stretch or another plan.
            if ($one->take !== null && $one->exercise === $recording->exercise) {
                $passes[] = new PassOfMany(
                    $one->take->id, $one->take->score, $one->take->uncertainty, $one->take->only(Take::FACETS),
                );
            }
        }

        return $passes;
    }
}
