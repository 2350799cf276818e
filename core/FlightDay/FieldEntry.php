<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/** One thing entered in the field: a tick, a pass that was flown, a battery begun or ended, a pass set right, a decision. */
final readonly class FieldEntry
{
    public const TICK = 'tick';

    public const PASS = 'pass';

    public const BATTERY = 'battery';

    public const CORRECTION = 'correction';

    public const DECISION = 'decision';

    public const KINDS = [self::TICK, self::PASS, self::BATTERY, self::CORRECTION, self::DECISION];

    public const CHOICES = ['go', 'wait', 'scrap'];

    /** No battery flies longer on one day, s: the most minutes of one that a day may have. */
    public const LONGEST = 60.0 * DayLimits::MINUTES[1];

    public const VERDICTS = ['kept', 'again', 'dropped'];

    /**
     * @param  string  $item  what it is about: the item of a list, "shot-7" or "battery-2"
     * @param  float  $made  when it was entered, s since 1970, by the clock of the device
     * @param  float  $received  when it reached the others, s since 1970; INF where it has not
     * @param  ?bool  $on  of a tick, and whether a battery begins
     * @param  ?int  $number  of a pass
     * @param  value-of<self::VERDICTS>|null  $verdict  of a pass; of a correction what holds instead, null where the pass is taken back
     * @param  string  $note  in the operator's words, such as "wind up"
     * @param  string  $of  uuid of the pass that is corrected
     * @param  value-of<self::CHOICES>|null  $choice  of a decision
     * @param  ?float  $flown  of a battery on the ground: seconds that it has flown in all, by somebody who knows better than its clock
     */
    public function __construct(
        public string $uuid,
        public string $kind,
        public string $item,
        public float $made,
        public float $received,
        public string $device,
        public string $by,
        public ?bool $on = null,
        public ?int $number = null,
        public ?string $verdict = null,
        public string $note = '',
        public string $of = '',
        public ?string $choice = null,
        public ?float $flown = null,
    ) {
    }

    /** Reads {kind, item, payload: {on?, number?, verdict?, note?, of?, choice?, flown_s?}}. */
    public static function read(string $uuid, Fields $fields, float $made, float $received, string $device, string $by): self
    {
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? self::TICK;
        $item = $fields->text('item');
        if ($item === '' || strlen($item) > 80) {
            throw new Refusal(Fact::of('field-entry.entry-about-something'), $fields->place('item'), Fact::of('field-entry.up-80-letters'));
        }
        $payload = $fields->group('payload');
        $number = $payload->numberOrNull('number', 1, 99);
        /** @var value-of<self::VERDICTS>|null $verdict */
        $verdict = $payload->choiceOrNull('verdict', self::VERDICTS);
        if ($kind === self::PASS && ($number === null || $verdict === null)) {
            throw new Refusal(
                Fact::of('field-entry.pass-number-verdict'), $payload->place($number === null ? 'number' : 'verdict'),
                Fact::of('field-entry.number-1-one', verdicts: implode(', ', self::VERDICTS)),
            );
        }
        /** @var value-of<self::CHOICES>|null $choice */
        $choice = $payload->choiceOrNull('choice', self::CHOICES);
        if ($kind === self::DECISION && $choice === null) {
            throw new Refusal(
                Fact::of('field-entry.decision-of'), $payload->place('choice'),
                Fact::of('field-entry.one-of', choices: implode(', ', self::CHOICES)),
            );
        }
        $note = $payload->textOrNull('note') ?? '';
        $of = $payload->textOrNull('of') ?? '';
        if ($kind === self::CORRECTION && ($of === '' || strlen($of) > 40)) {
            throw new Refusal(Fact::of('field-entry.correction-of'), $payload->place('of'), Fact::of('field-entry.name-of-pass'));
        }

        $flown = $kind === self::BATTERY ? $payload->numberOrNull('flown_s', 0, self::LONGEST, 's') : null;

        return new self(
            $uuid, $kind, $item, $made, $received, $device, $by,
            $kind === self::TICK || $kind === self::BATTERY ? $payload->flag('on') : null,
            $number === null ? null : (int) $number, $verdict, mb_substr($note, 0, 200), $of, $choice, $flown,
        );
    }
}
