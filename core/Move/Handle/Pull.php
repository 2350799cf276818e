<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\MovePlan;
use Larkspur\Refusal;

/** What a hand did to a handle: put it somewhere, or nudged it by so many steps. */
final readonly class Pull
{
    private function __construct(private string $handle, private ?Spot $to, private float $right, private float $up)
    {
    }

    public static function to(string $handle, Spot $to): self
    {
        return new self($handle, $to, 0.0, 0.0);
    }

    public static function by(string $handle, float $right, float $up): self
    {
        return new self($handle, null, $right, $up);
    }

    public static function read(Fields $fields): self
    {
        $to = $fields->groupOrNull('to');
        $by = $fields->groupOrNull('by');

        return new self(
            $fields->text('handle'), $to === null ? null : Spot::read($to),
            $by?->numberOrNull('right', -1000, 1000) ?? 0.0, $by?->numberOrNull('up', -1000, 1000) ?? 0.0,
        );
    }

    /**
     * @param  Intent  $asked  what the plan was made of, before its defaults
     * @return array<string, float> what the parameters become, by id
     *
     * @throws Refusal where the move has no such handle
     */
    public function of(MovePlan $plan, Intent $asked): array
    {
        $handles = Catalogue::move($asked->move)->handles($plan, $asked);
        foreach ($handles as $handle) {
            if ($handle->id === $this->handle) {
                return $this->to === null ? $handle->nudge($plan, $this->right, $this->up) : $handle->put($plan, $this->to);
            }
        }

        throw new Refusal(
            Fact::of('handle.none-such'), 'pull.handle',
            Fact::of('expected.one-of', choices: array_map(static fn (Handle $handle): string => $handle->id, $handles)),
        );
    }
}
