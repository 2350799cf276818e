<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Damaged;
use App\Models\Take;
use App\Spoken;
use Documents\Document;
use Documents\Merged;
use Documents\Shape;

/** A take with its judgement as it was kept, said to whoever reads it, of the thumbs of whoever flew. */
final readonly class TakeDetail implements Document
{
    /** What judgements of earlier methods did not say, and their faults did not. */
    private const EARLIER = [
        'judged' => ['ease', 'flow', 'hold', 'line', 'frame'], 'plan' => null, 'losses' => [],
        'finish' => ['score' => null, 'figures' => []], 'thirds' => null,
    ];

    private const FAULT = ['cause' => 'unknown', 'finger' => null, 'side' => null];

    /**
     * @param  array<string, mixed>  $judgement
     * @param  list<CommentDocument>  $said
     */
    public function __construct(
        #[Merged]
        public TakeDocument $take,
        #[Shape('Score')]
        public array $judgement,
        public TakeLog $log,
        public string $craft,
        public ?int $rigId,
        public ?int $rigVersion,
        public HeldHands $hands,
        public ?int $siteId,
        public array $said,
    ) {
    }

    public static function of(Take $take): self
    {
        $judgement = $take->judgement ?? throw Damaged::of('judgement');

        return new self(
            TakeDocument::of($take), self::judged($take, $judgement->document),
            TakeLog::of($take->log), $take->rig->craft ?? '', $take->rig_id, $take->rig?->version, HeldHands::of($take->held()),
            $take->shot?->site_id,
            array_map(CommentDocument::of(...), array_values($take->comments->sortBy('at_s')->all())),
        );
    }

    /**
     * @param  array<string, mixed>  $kept
     * @return array<string, mixed>
     */
    private static function judged(Take $take, array $kept): array
    {
        $said = Spoken::to($take->held()->mode)->saidThroughout($kept);
        $said['faults'] = array_map(static fn (array $fault): array => [
            ...self::FAULT, 'until_s' => $fault['t_s'], 'worst_s' => $fault['t_s'], ...$fault,
        ], $said['faults'] ?? []);

        return [...self::EARLIER, ...$said, 'intent' => WrittenIntent::of($kept['intent'] ?? [])];
    }
}
