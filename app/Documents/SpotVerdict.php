<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Spotting;
use Documents\Document;
use Documents\Practice\DetectionDocument;
use Larkspur\Fact;
use Larkspur\Scoring\Fault\FaultKinds;

/** What was hidden in a take, and what the answer comes to. */
final readonly class SpotVerdict implements Document
{
    /**
     * @param  'hit'|'miss'|'false-alarm'|'correct-rejection'  $outcome  by the moment
     * @param  ?bool  $named  whether the fault was named rightly too; null where there was none, or nothing was said
     * @param  ?bool  $fingered  whether the finger was
     */
    public function __construct(
        public string $outcome, public ?string $fault, public ?Fact $name, public ?string $finger, public ?float $fromS, public ?float $toS,
        public ?bool $named, public ?bool $fingered, public DetectionDocument $record,
    ) {
    }

    public static function of(Spotting $spotting): self
    {
        $said = $spotting->said ?? [];
        $asked = $spotting->fault !== null && ($said['at_s'] ?? null) !== null;

        return new self(
            $spotting->outcome ?? 'miss', $spotting->fault, $spotting->fault === null ? null : FaultKinds::name($spotting->fault),
            $spotting->finger, $spotting->from_s, $spotting->to_s,
            $asked && ($said['fault'] ?? null) !== null ? $said['fault'] === $spotting->fault : null,
            $asked && $spotting->finger !== null && ($said['finger'] ?? null) !== null ? $said['finger'] === $spotting->finger : null,
            DetectionDocument::of(Spotting::detectionOf($spotting->operator_id)),
        );
    }
}
