<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Move;
use Larkspur\Move\Parameter;
use Larkspur\Scoring\Fault\FaultKinds;
use Words\TradeWords;

/** A move as the library shows it. */
final readonly class MoveDocument implements Document
{
    /**
     * @param  list<MoveFinger>  $fingering
     * @param  list<string>  $needs
     * @param  list<MoveFault>  $faults
     * @param  list<ParameterDocument>  $parameters
     * @param  list<string>  $called  what the trade calls it beside its name
     */
    public function __construct(
        public string $id,
        public Fact $name,
        public string $group,
        public Fact $groupWords,
        public int $level,
        public Fact $levelWords,
        public int $axes,
        public array $fingering,
        public array $needs,
        public Fact $does,
        public Fact $clean,
        public ?Fact $caution,
        public array $faults,
        public array $parameters,
        public array $called,
    ) {
    }

    public static function of(Move $move): self
    {
        $about = $move->about();

        return new self(
            $about->id, $about->name(), $about->group->value, $about->group->words(), $about->level, Fact::of("level.$about->level"),
            $about->fingering->axes(),
            array_map(
                static fn (array $part): MoveFinger => new MoveFinger(
                    $part['finger']->value, $part['sign'], $part['group'], $part['optional'],
                ),
                $about->fingering->parts,
            ),
            $about->needs, $about->does(), $about->clean(), $about->caution(),
            array_map(
                static fn (string $fault): MoveFault => new MoveFault($fault, FaultKinds::name($fault), $about->cueAgainst($fault)),
                $about->faults,
            ),
            array_map(ParameterDocument::of(...), Parameter::dials($move)), TradeWords::of($about->id),
        );
    }
}
