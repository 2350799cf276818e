<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;

/** One petal of a take: its score, what made it so, and the metrics it rests on. */
final readonly class Facet
{
    /** From this score on a metric is textbook as far as anyone can see. */
    private const TEXTBOOK = 95.0;

    public string $id;

    /**
     * @param  ?float  $score  0 to 100; null where the log can't support it
     * @param  Fact  $why  what made it so
     * @param  list<Metric>  $metrics
     */
    private function __construct(public Petal $petal, public ?float $score, public Fact $why, public array $metrics)
    {
        $this->id = $petal->value;
    }

    /**
     * The five facets of a take.
     *
     * @param  array<string, float>  $weights
     * @return list<self>
     */
    public static function all(JudgedParts $judged, PartScores $scores, array $weights): array
    {
        return array_map(static function (Petal $petal) use ($judged, $scores, $weights): self {
            $score = $scores->petal($petal, $weights);
            $metrics = $judged->metrics($petal);

            return new self($petal, $score, self::why($petal, $score, Metric::weakest($metrics)), $metrics);
        }, Petal::cases());
    }

    private static function why(Petal $petal, ?float $score, ?Metric $weakest): Fact
    {
        $about = Fact::of("petal.$petal->value.about");

        return match (true) {
            $score === null && $petal === Petal::Frame => Fact::of('facet.frame-not-judged', about: $about),
            $score === null => Fact::of('facet.not-part-of-move', about: $about),
            $weakest === null => Fact::of('facet.log-can-not-tell', about: $about),
            $weakest->score >= self::TEXTBOOK => Fact::of('facet.textbook', about: $about),
            default => Fact::of(
                'facet.weakest', about: $about, metric: $weakest->label, value: $weakest->value, textbook: $weakest->textbook,
            ),
        };
    }
}
