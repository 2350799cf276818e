<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fields;
use Larkspur\Refusal;

/** One thing that can be chosen about a move: a number with unit and range, or one of a few words. */
final readonly class Parameter
{
    /**
     * @param  string  $unit  'm', 'm/s', 's', 'deg', 'deg/s', or '' for a choice
     * @param  list<float>  $usual  the stretch that a dial shows; all that is allowed can still be typed
     * @param  list<string>  $choices
     */
    private function __construct(
        public string $id,
        public string $label,
        public string $unit,
        public float $least,
        public float $most,
        public float $step,
        public array $usual = [],
        public array $choices = [],
    ) {
    }

    /** @param  array{float, float}  $usual */
    public static function number(string $id, string $label, string $unit, float $least, float $most, float $step, array $usual): self
    {
        return new self($id, $label, $unit, $least, $most, $step, $usual);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $id, string $label, array $choices): self
    {
        return new self($id, $label, '', 0, 0, 0, [], $choices);
    }

    /**
     * @param  list<self>  $parameters
     * @return array<string, float|string> what was given, by id
     */
    public static function readAll(array $parameters, Fields $fields): array
    {
        $values = [];
        $known = [];
        foreach ($parameters as $parameter) {
            $known[] = $parameter->id;
            $value = $parameter->choices === []
                ? $fields->numberOrNull($parameter->id, $parameter->least, $parameter->most, $parameter->unit)
                : $fields->choiceOrNull($parameter->id, $parameter->choices);
            if ($value !== null) {
                $values[$parameter->id] = $value;
            }
        }
        foreach (array_diff($fields->names(), $known) as $unknown) {
            throw new Refusal('This move has no such parameter.', $fields->place($unknown), 'one of '.implode(', ', $known));
        }

        return $values;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->choices === []
            ? ['id' => $this->id, 'label' => $this->label, 'unit' => $this->unit, 'least' => $this->least, 'most' => $this->most, 'usual' => $this->usual, 'step' => $this->step]
            : ['id' => $this->id, 'label' => $this->label, 'choices' => $this->choices];
    }
}
