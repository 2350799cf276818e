<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Fields;
use Larkspur\Flight\CraftModel;
use Larkspur\Flight\Draught;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;
use Larkspur\Site\Wind;

/** What a trainer makes of an exercise beside its plan: hard things on purpose, and what of it is flown. */
final readonly class Conditions
{
    /** Instruments that can be taken away. */
    public const INSTRUMENTS = ['speed', 'height', 'distance', 'battery', 'sheet', 'thumbs'];

    /** A heavy craft answers so much more slowly (common practice, no published source). */
    private const HEAVIER = 1.6;

    /** The press of record shakes the left stick for so long, s, and by so much, travel (common practice, no published source). */
    public const JOLT_SECONDS = 0.16;

    public const JOLT_TRAVEL = 0.12;

    /** Between these seconds a spotter calls where the second is drawn. */
    private const CALLED_FROM = 10.0;

    private const CALLED_TO = 24.0;

    /** A reserve that nobody stated: a quarter of the battery (an editable default; nobody agrees on one). */
    private const RESERVE = 0.25;

    /**
     * @param  ?Wind  $wind  null: as planned
     * @param  ?float  $gimbalHigh  highest tilt where it is less than the rig's, rad
     * @param  ?float  $batteryMinutes  null: as the rig says
     * @param  float  $reserve  share of the battery in which the craft should be down
     * @param  ?float  $call  second at which the spotter calls "aircraft"; null: never, or one that nobody was told
     * @param  bool  $jolt  whether the press of record shakes the controller
     * @param  bool  $fromPad  whether it begins on the ground at take-off rather than hovering where the plan begins
     * @param  ?array{float, float}  $loop  stretch of the plan that is flown again and again, s
     * @param  list<value-of<self::INSTRUMENTS>>  $hidden
     * @param  bool  $calls  whether the spotter calls, at a second that the seed has
     * @param  ?array{float, float}  $pilot  where the pilot stands, east and north of take-off, m; null: where it suits
     */
    public function __construct(
        public CraftModel $model = CraftModel::Positioning,
        public ?Wind $wind = null,
        public ?Draught $draught = null,
        public bool $noseIn = false,
        public bool $wheelReversed = false,
        public ?float $gimbalHigh = null,
        public bool $heavy = false,
        public ?float $batteryMinutes = null,
        public float $reserve = self::RESERVE,
        public ?float $call = null,
        public bool $jolt = true,
        public bool $fromPad = false,
        public ?array $loop = null,
        public array $hidden = [],
        public ?array $pilot = null,
        public bool $calls = false,
    ) {
    }

    public static function read(?Fields $fields): self
    {
        if ($fields === null) {
            return new self;
        }
        $loop = $fields->groupOrNull('loop');
        $from = $loop?->number('from_s', 0, 3600, 's') ?? 0.0;
        $pilot = $fields->groupOrNull('pilot');
        $high = $fields->numberOrNull('gimbal_high_deg', -60, 90, 'degrees');

        return new self(
            CraftModel::from($fields->choiceOrNull('model', array_column(CraftModel::cases(), 'value')) ?? 'positioning'),
            $fields->has('wind') ? Wind::read($fields->group('wind')) : null,
            $fields->has('draught') ? Draught::read($fields->group('draught')) : null,
            $fields->flag('nose_in'), $fields->flag('wheel_reversed'),
            $high === null ? null : $high * Angle::DEGREE,
            $fields->flag('heavy'), $fields->numberOrNull('battery_min', 0.2, 120, 'minutes'),
            $fields->numberOrNull('reserve', 0, 0.9) ?? self::RESERVE,
            $fields->numberOrNull('call_s', 0, 3600, 's'), $fields->flag('jolt', true), $fields->flag('from_pad'),
            $loop === null ? null : [$from, $loop->number('to_s', $from + 1, 3600, 's')],
            array_values(array_filter(
                self::INSTRUMENTS, static fn (string $one): bool => $fields->has('hidden') && $fields->group('hidden')->flag($one),
            )),
            $pilot === null ? null : [$pilot->number('east_m', -500, 500, 'm'), $pilot->number('north_m', -500, 500, 'm')],
            $fields->flag('calls'),
        );
    }

    /** The same, with the second of a call that nobody was told: soon enough to fall into any pass, and another one for each seed. */
    public function drawn(int $seed): self
    {
        if (! $this->calls || $this->call !== null) {
            return $this;
        }
        $call = self::CALLED_FROM + floor((self::CALLED_TO - self::CALLED_FROM) * (new SeededNoise($seed))->uniform());

        return self::read(Fields::of([...$this->toArray(), 'call_s' => $call]));
    }

    /** The rig as it is under these conditions. */
    public function rig(Rig $rig, string $mode): Rig
    {
        if ($this->gimbalHigh !== null) {
            $rig = $rig->withTilt($rig->tiltLow, max($rig->tiltLow, min($rig->highestTilt(), $this->gimbalHigh)));
        }

        return $this->heavy ? $rig->withMode(self::slowed($rig->mode($mode))) : $rig;
    }

    private static function slowed(ModeTune $mode): ModeTune
    {
        return $mode->answering(self::HEAVIER);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'model' => $this->model->value, 'wind' => $this->wind?->toArray(), 'draught' => $this->draught?->toArray(),
            'nose_in' => $this->noseIn ? true : null, 'wheel_reversed' => $this->wheelReversed ? true : null,
            'gimbal_high_deg' => $this->gimbalHigh === null ? null : round($this->gimbalHigh / Angle::DEGREE, 4),
            'heavy' => $this->heavy ? true : null, 'battery_min' => $this->batteryMinutes, 'reserve' => $this->reserve,
            'call_s' => $this->call, 'calls' => $this->calls ? true : null, 'jolt' => $this->jolt,
            'from_pad' => $this->fromPad ? true : null,
            'loop' => $this->loop === null ? null : ['from_s' => $this->loop[0], 'to_s' => $this->loop[1]],
            'hidden' => $this->hidden === [] ? null : array_fill_keys($this->hidden, true),
            'pilot' => $this->pilot === null ? null : ['east_m' => $this->pilot[0], 'north_m' => $this->pilot[1]],
        ], static fn (mixed $value): bool => $value !== null);
    }
}
