<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

/** One thing that was checked about a plan: met, worth knowing, or broken, with the nearest change that mends it. */
final readonly class Finding
{
    public const OK = 'ok';

    public const NOTE = 'note';

    public const BROKEN = 'broken';

    /**
     * @param  string  $id  stable name of the check
     * @param  self::OK|self::NOTE|self::BROKEN  $state
     * @param  string  $text  for the operator, one sentence
     * @param  ?float  $value  what the plan asks, in $unit
     * @param  ?float  $limit  what is allowed, in $unit
     * @param  array<string, float|string>  $mend  parameter values of the nearest plan that passes
     */
    public function __construct(
        public string $id,
        public string $state,
        public string $text,
        public ?float $value = null,
        public ?float $limit = null,
        public string $unit = '',
        public string $mendText = '',
        public array $mend = [],
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'state' => $this->state, 'text' => $this->text,
            'value' => $this->value === null ? null : round($this->value, 3),
            'limit' => $this->limit === null ? null : round($this->limit, 3),
            'unit' => $this->unit,
            'mend' => $this->mend === [] && $this->mendText === '' ? null : ['text' => $this->mendText, 'parameters' => (object) $this->mend],
        ];
    }
}
