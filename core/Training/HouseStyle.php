<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fields;

/** What a school holds of how it is practised, where practitioners disagree; a trainer may hold otherwise for an operator. */
final readonly class HouseStyle
{
    public const BY_HAND = 'hand';

    public const WELCOME = 'welcome';

    /**
     * @param  'hand'|'welcome'  $automation  whether much automation is something to talk about, or a help like any other
     * @param  bool  $slow  whether what can be flown is asked for in the slow mode once
     * @param  int  $passes  of one exercise before the best is named, 1 to 6
     * @param  float  $mostGust  m/s in which is still practised, 0 to 20
     */
    public function __construct(
        public string $automation = self::BY_HAND, public bool $slow = true, public int $passes = 3, public float $mostGust = 8.0,
    ) {
    }

    /** What is left out is as it was. */
    public static function read(Fields $fields, self $else = new self): self
    {
        return new self(
            match ($fields->choiceOrNull('automation', [self::BY_HAND, self::WELCOME])) {
                self::BY_HAND => self::BY_HAND,
                self::WELCOME => self::WELCOME,
                default => $else->automation,
            },
            $fields->flag('slow', $else->slow), $fields->has('passes') ? $fields->whole('passes', 1, 6) : $else->passes,
            $fields->numberOrNull('most_gust_mps', 0, 20, 'm/s') ?? $else->mostGust,
        );
    }

    /** @return array{automation: string, slow: bool, passes: int, most_gust_mps: float} */
    public function toArray(): array
    {
        return [
            'automation' => $this->automation, 'slow' => $this->slow, 'passes' => $this->passes, 'most_gust_mps' => $this->mostGust,
        ];
    }
}
