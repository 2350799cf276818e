<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Refusal;

/**
 * What the fingers did, step by step, in one practice flight (schema "larkspur/recording/1", docs/formats.md). Travel is written in
 * thousandths, since that is how the page rounds it before it steps: nothing is lost on the way to the server.
 */
final readonly class Recording
{
    public const SCHEMA = 'larkspur/recording/1';

    public const DEVICES = ['keyboard', 'gamepad', 'touch', 'mouse', 'mixed', 'none'];

    /** Help that can be had, noted with each take. */
    public const AIDS = [
        'ghost', 'ghost-fingers', 'cue-sound', 'cue-voice', 'tone', 'slow-75', 'slow-50', 'stepped-back', 'frozen', 'magnifier',
        'loop', 'plain-world',
    ];

    private const LONGEST_PURPOSE = 200;

    /** Of a full travel. */
    private const FULL = 1000;

    /**
     * @param  string  $id  made by whoever recorded it: the same recording sent twice is one take
     * @param  string  $sheet  hash of the world that it was flown in
     * @param  array<value-of<Finger>, list<int>>  $fingers  thousandths of travel, one a step
     * @param  list<array{int, int}>  $recorded  steps between which the camera recorded, from and to
     * @param  list<array{int, int}>  $automated  steps that the return home flew
     * @param  list<value-of<self::AIDS>>  $aids
     * @param  value-of<self::DEVICES>  $device
     * @param  bool  $brokenOff  whether it ended otherwise than by its pilot's will: a tab in the background, a controller gone
     * @param  ?array{action: string, step: int}  $answered  what was done at the spotter's call, and when
     * @param  string  $purpose  what the session was for; empty where nobody said
     */
    public function __construct(
        public string $id, public string $sheet, public array $fingers, public array $recorded, public array $automated,
        public array $aids, public string $device, public string $deviceName, public bool $brokenOff, public ?array $answered,
        public string $purpose = '',
    ) {
    }

    /** @throws Refusal where it is no whole recording */
    public static function read(Fields $fields): self
    {
        $schema = $fields->textOrNull('schema') ?? '';
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('shot.file-says', schema: $schema), $fields->place('schema'), Fact::of('shot.text', schema: self::SCHEMA),
            );
        }
        $step = $fields->number('step_s', 0.001, 1, 's');
        if (abs($step - ResponseSheet::STEP) > 1e-9) {
            throw new Refusal(
                Fact::of('exercise.other-step', step: $step * 1000), $fields->place('step_s'), Fact::of('exercise.step-wanted'),
            );
        }
        $travel = $fields->group('fingers');
        $fingers = [];
        foreach (Finger::cases() as $finger) {
            $fingers[$finger->value] = self::thousandths($travel, $finger->value);
        }
        $steps = count($fingers['climb']);
        foreach ($fingers as $name => $values) {
            if (count($values) !== $steps || $steps === 0) {
                throw new Refusal(
                    Fact::of('exercise.steps-missing', finger: $name, count: count($values), steps: $steps), $travel->place($name),
                    Fact::of('exercise.a-step-each'),
                );
            }
        }
        if ($steps * ResponseSheet::STEP > Exercise::LONGEST) {
            throw new Refusal(
                Fact::of('exercise.too-long', minutes: $steps * ResponseSheet::STEP / 60), $fields->place('fingers'),
                Fact::of('exercise.ten-minutes'),
            );
        }
        $answered = $fields->groupOrNull('answered');
        $aids = $fields->groupOrNull('aids');
        $device = $fields->group('device');

        return new self(
            self::named($fields), $fields->text('sheet'), $fingers, self::spans($fields, 'recorded', $steps),
            self::spans($fields, 'automated', $steps),
            array_values(array_filter(self::AIDS, static fn (string $aid): bool => $aids !== null && $aids->flag($aid))),
            self::device($device), mb_substr($device->textOrNull('name') ?? '', 0, 120), $fields->flag('broken_off'),
            $answered === null ? null : [
                'action' => $answered->choiceOrNull('action', ['descend', 'return', 'hold']) ?? 'hold',
                'step' => (int) $answered->number('step', 0, $steps),
            ],
            mb_substr($fields->textOrNull('purpose') ?? '', 0, self::LONGEST_PURPOSE),
        );
    }

    private static function named(Fields $fields): string
    {
        $id = $fields->text('id');
        if (preg_match('/^[0-9a-f-]{36}$/', $id) !== 1) {
            throw new Refusal(Fact::of('exercise.no-id'), $fields->place('id'), Fact::of('exercise.a-uuid'));
        }

        return $id;
    }

    /** @return value-of<self::DEVICES> */
    private static function device(Fields $device): string
    {
        /** @var value-of<self::DEVICES> $kind */
        $kind = $device->choiceOrNull('kind', self::DEVICES) ?? 'keyboard';

        return $kind;
    }

    /** @return list<int> */
    private static function thousandths(Fields $fields, string $finger): array
    {
        $values = [];
        foreach ($fields->numbers($finger, -self::FULL, self::FULL) as $i => $value) {
            if ($value !== floor($value)) {
                throw new Refusal(
                    Fact::of('exercise.no-thousandth'), $fields->place($finger).'.'.$i, Fact::of('exercise.whole-thousandths'),
                );
            }
            $values[] = (int) $value;
        }

        return $values;
    }

    /** @return list<array{int, int}> */
    private static function spans(Fields $fields, string $name, int $steps): array
    {
        $spans = [];
        $last = 0;
        foreach ($fields->has($name) ? $fields->pairs($name) : [] as $i => [$from, $to]) {
            if ($from < $last || $to < $from || $to > $steps) {
                throw new Refusal(
                    Fact::of('exercise.span-out-of-order'), $fields->place($name).'.'.$i, Fact::of('exercise.spans-in-order'),
                );
            }
            $spans[] = [(int) $from, (int) $to];
            $last = $to;
        }

        return $spans;
    }

    public function steps(): int
    {
        return count($this->fingers['climb']);
    }

    public function at(int $step): FingerInput
    {
        $f = $this->fingers;

        return new FingerInput(
            $f['climb'][$step] / self::FULL, $f['turn'][$step] / self::FULL, $f['run'][$step] / self::FULL,
            $f['slide'][$step] / self::FULL, $f['tilt'][$step] / self::FULL,
        );
    }

    /** @return array<value-of<Finger>, list<float>> travel -1..1, one a step */
    public function travel(): array
    {
        return array_map(
            static fn (array $values): array => array_map(static fn (int $value): float => $value / self::FULL, $values), $this->fingers,
        );
    }

    /**
     * Whether a step lies in one of some stretches: those that were recorded, those that the return home flew.
     *
     * @param  list<array{int, int}>  $spans
     */
    public static function within(array $spans, int $step): bool
    {
        foreach ($spans as [$from, $to]) {
            if ($step >= $from && $step < $to) {
                return true;
            }
        }

        return false;
    }
}
