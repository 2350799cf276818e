<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Camera\CraftCamera;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Telemetry\Analysis\StepFit;

/**
 * What a machine can do, whoever flies it: its envelope in each mode, its gimbal, its camera, and how its own screens
 * state things (schema "larkspur/craft/1", docs/formats.md). A rig is a craft as somebody has set it up, within this.
 */
final readonly class Craft
{
    public const SCHEMA = 'larkspur/craft/1';

    public const KINDS = ['camera', 'ducted'];

    /** A measured top rate so many times the kept one, or the other way round, is hardly this craft's (our judgement). */
    private const UNLIKE = 1.5;

    /** Two that differ by more than this in mass or width are two craft, not one weighed twice (our judgement). */
    private const APART = 1.1;

    /**
     * @param  'camera'|'ducted'  $kind
     * @param  float  $mass  kg
     * @param  string  $convention  in which its screens state a curve (CurveKinds)
     * @param  Rig  $stock  as it leaves the box; its rates are the greatest there are in each mode
     * @param  float  $gimbalTop  greatest tilt rate that may be set in any mode, rad/s
     * @param  float  $turnTop  greatest turn rate that may be set in any mode, rad/s
     * @param  float  $rateUnit  the craft's own number for a gimbal rate of 1 deg/s
     * @param  float  $cushionUnit  the craft's own number for a cushion of 1 s
     */
    public function __construct(
        public string $name,
        public string $kind,
        public float $mass,
        public string $convention,
        public Rig $stock,
        public CraftCamera $camera,
        public float $gimbalTop,
        public float $turnTop,
        public float $rateUnit,
        public float $cushionUnit,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('craft.file-says', schema: $schema), $fields->place('schema'), Fact::of('craft.text', schema: self::SCHEMA),
            );
        }
        $stock = Rig::read($fields->group('stock'));
        $units = $fields->groupOrNull('gimbal_units');
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? 'camera';
        if ($kind === 'ducted' && $stock->ducted === null) {
            $stock = Rig::read(Fields::of([...$stock->toArray(), 'ducted' => Ducted::ordinary()->toArray()]));
        }

        return new self(
            $stock->craft,
            $kind === 'ducted' ? 'ducted' : 'camera',
            $fields->number('mass_kg', 0.01, 50, 'kg'),
            $fields->choiceOrNull('convention', CurveKinds::KINDS) ?? $fields->text('convention'),
            $stock,
            CraftCamera::read($fields->group('camera')),
            (
                $fields->numberOrNull('gimbal_top_dps', 0.5, 500, 'deg/s') ?? Statistics::greatest(array_map(
                    static fn (ModeTune $mode): float => $mode->tilt, array_values($stock->modes),
                )) / Angle::DEGREE
            ) * Angle::DEGREE,
            (
                $fields->numberOrNull('turn_top_dps', 1, 1000, 'deg/s') ?? Statistics::greatest(array_map(
                    static fn (ModeTune $mode): float => $mode->turn, array_values($stock->modes),
                )) / Angle::DEGREE
            ) * Angle::DEGREE,
            $units?->numberOrNull('rate_per_dps', 0.01, 100) ?? 1.0,
            $units?->numberOrNull('cushion_per_s', 0.1, 1000) ?? 10.0,
        );
    }

    /** A middling camera craft to begin with where nothing is known yet: the ordinary mode, a slower one and a quicker one. */
    public static function ordinary(string $name): self
    {
        $mode = ModeTune::ordinary()->toArray();
        $modes = [];
        foreach (['slow' => 0.4, 'standard' => 1.0, 'fast' => 1.7] as $which => $share) {
            $modes[$which] = array_map(static fn (mixed $value): mixed => is_float($value) ? round($value * $share, 2) : $value, $mode);
        }

        return self::read(Fields::of([
            'kind' => 'camera', 'mass_kg' => 0.8, 'convention' => 'half-stick', 'gimbal_top_dps' => 45, 'turn_top_dps' => 110,
            'camera' => [
                'sensor_mm' => ['width' => 9.6, 'height' => 7.2], 'focal_mm' => [6.8], 'frame_rates' => [25, 50],
                'resolutions' => [[3840, 2160]], 'apertures' => [2.8],
            ],
            'stock' => [
                'craft' => $name, 'width_m' => 0.4, 'wind_limit_mps' => 9, 'gust_coupling' => 0.4,
                'tilt_range_deg' => ['low' => -90, 'high' => 20], 'battery_min' => 25, 'modes' => $modes,
            ],
        ]));
    }

    /**
     * A rig of this craft from what somebody has set: the airframe is the craft's, the settings are theirs, and none
     * asks for more than the craft has. What a rig was kept with it may keep, though the craft was measured anew since.
     *
     * @param  array<string, mixed>  $settings  modes, hands and ducted, in the form of a rig
     * @param  ?Rig  $kept  the rig that they are of, as it was kept
     *
     * @throws Refusal naming the setting that the craft can't give
     */
    public function setUp(array $settings, ?Rig $kept = null): Rig
    {
        $rig = Rig::read(Fields::of([
            ...$this->stock->toArray(), ...array_intersect_key($settings, Rig::SETTINGS),
        ]));
        $before = array_column($kept === null ? [] : $this->beyond($kept), null, 'place');
        $new = array_filter($this->beyond($rig), static fn (Beyond $one): bool => ! $one->isNoFartherThan($before[$one->place] ?? null));
        if ($new !== []) {
            throw Refusal::ofAll(array_map(static fn (Beyond $one): Refusal => $one->refusal(), array_values($new)));
        }

        return $rig;
    }

    /**
     * The same craft with a mode as a step test measured it; what the test did not press stays.
     *
     * @param  list<StepFit>  $fits
     */
    public function measured(string $modeName, array $fits): self
    {
        $mode = $this->stock->mode($modeName)->toArray();
        $lag = [];
        [$turnTop, $gimbalTop] = [$this->turnTop / Angle::DEGREE, $this->gimbalTop / Angle::DEGREE];
        $travel = $weight = 0.0;
        foreach ($fits as $fit) {
            $scale = $fit->finger->rotates() ? 1 / Angle::DEGREE : 1.0;
            $top = round(Statistics::greatest(array_column($fit->tops, 'value')) * $scale, 3);
            $seconds = round($fit->response->lag, 4);
            switch ($fit->finger) {
                case Finger::Run:
                case Finger::Slide:
                    $mode[$fit->finger->value.'_mps'] = $top;
                    $w = 1 / max(1e-6, min(1e6, $fit->sd['lag'])) ** 2;
                    $travel += $w * $seconds;
                    $weight += $w;
                    if ($fit->finger === Finger::Run) {
                        $mode['accelerate_mps2'] = $fit->accelerates() ? round($fit->response->accelerate, 3) : $mode['accelerate_mps2'];
                        $mode['brake_mps2'] = $fit->brakes() ? round($fit->response->brake, 3) : $mode['brake_mps2'];
                    }
                    break;
                case Finger::Climb:
                    $mode['climb_mps'] = isset($fit->tops[1]) ? round($fit->tops[1]['value'], 3) : $mode['climb_mps'];
                    $mode['sink_mps'] = isset($fit->tops[-1]) ? round($fit->tops[-1]['value'], 3) : $mode['sink_mps'];
                    $mode['climb_accelerate_mps2'] = $fit->accelerates()
                        ? round($fit->response->accelerate, 3)
                        : $mode['climb_accelerate_mps2'];
                    $lag['climb'] = $seconds;
                    break;
                case Finger::Turn:
                    $mode['turn_dps'] = $top;
                    $mode['turn_accelerate_dps2'] = $fit->accelerates()
                        ? round($fit->response->accelerate * $scale, 2)
                        : $mode['turn_accelerate_dps2'];
                    $lag['turn'] = $seconds;
                    $turnTop = max($turnTop, $top);
                    break;
                case Finger::Tilt:
                    $mode['gimbal'] = ['top_rate_dps' => $top, 'cushion_s' => round(3 * $fit->response->lag, 3)];
                    $gimbalTop = max($gimbalTop, $top);
                    break;
            }
        }
        if ($weight > 0) {
            $lag['travel'] = round($travel / $weight, 4);
        }
        $own = $this->stock->mode($modeName);
        $mode['lag_s'] = [...['travel' => $own->travelLag, 'climb' => $own->climbLag, 'turn' => $own->turnLag], ...$lag];

        return self::read(Fields::of([
            ...$this->toArray(), 'turn_top_dps' => $turnTop, 'gimbal_top_dps' => $gimbalTop,
            'stock' => $this->stock->withMode(ModeTune::read($modeName, Fields::of($mode)))->toArray(),
        ]));
    }

    /**
     * The same craft with its stock curves stated as its own screens state them.
     *
     * @throws Refusal where one of them has no number in that convention
     */
    public function inItsConvention(): self
    {
        $stock = $this->stock;
        foreach ($stock->modes as $name => $mode) {
            foreach (Finger::cases() as $finger) {
                $said = Conversion::of(
                    $mode->curve($finger), $this->convention, $mode->top($finger) / ($finger->rotates() ? Angle::DEGREE : 1.0),
                );
                if ($said->closeness() === 'none') {
                    throw new Refusal(
                        Fact::of('craft.curve-number-convention', finger: $finger->value), "stock.modes.$name.curves.$finger->value",
                        Fact::of('craft.softer-straighter-curve'),
                    );
                }
                $mode = $mode->with($finger, curve: $said->curve);
            }
            $stock = $stock->withMode($mode);
        }

        return new self(
            $this->name, $this->kind, $this->mass, $this->convention, $stock, $this->camera, $this->gimbalTop, $this->turnTop,
            $this->rateUnit, $this->cushionUnit,
        );
    }

    /**
     * What a step test measured so far from what is kept that it may be of another craft, or of another mode.
     *
     * @param  list<StepFit>  $fits
     * @return list<Fact> one a finger
     */
    public function unlike(string $mode, array $fits): array
    {
        $said = [];
        foreach ($fits as $fit) {
            $measured = Statistics::greatest(array_column($fit->tops, 'value'));
            $kept = $this->stock->mode($mode)->top($fit->finger);
            if ($measured > self::UNLIKE * $kept || $kept > self::UNLIKE * $measured) {
                $said[] = Fact::of(
                    'step-test.unlike', finger: $fit->finger->value, measured: $fit->finger->rate($measured),
                    kept: $fit->finger->rate($kept), mode: Fact::of("mode.$mode"), name: $this->name,
                );
            }
        }

        return $said;
    }

    /** By what another craft of the same name is told to be another: what no step test changes. Null where they may be one. */
    public function isAnother(self $other): ?Fact
    {
        $apart = static fn (float $a, float $b): bool => $a > self::APART * $b || $b > self::APART * $a;

        return match (true) {
            $this->kind !== $other->kind => Fact::of('craft.another-kind', name: $this->name, kind: $this->kind, other: $other->kind),
            $apart($this->mass, $other->mass) => Fact::of(
                'craft.another-mass', name: $this->name, mass: $this->mass, other: $other->mass,
            ),
            $apart($this->stock->width, $other->stock->width) => Fact::of(
                'craft.another-width', name: $this->name, width: Quantity::metres($this->stock->width),
                other: Quantity::metres($other->stock->width),
            ),
            default => null,
        };
    }

    /** @return list<Beyond> what of a rig asks for more than this craft gives: of one that was kept before the craft was measured anew */
    public function beyond(Rig $rig): array
    {
        return array_merge(...array_map(fn (ModeTune $mode): array => Beyond::of($this, $mode), array_values($rig->modes)));
    }

    /** Greatest rate that may be set for a finger in a mode, m/s or rad/s. */
    public function ceiling(string $mode, Finger $finger, bool $positive = true): float
    {
        return match ($finger) {
            Finger::Tilt => $this->gimbalTop,
            Finger::Turn => $this->turnTop,
            default => $this->stock->mode($mode)->top($finger, $positive),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'schema' => self::SCHEMA, 'kind' => $this->kind, 'mass_kg' => $this->mass, 'convention' => $this->convention,
            'gimbal_top_dps' => round($this->gimbalTop / Angle::DEGREE, 6), 'turn_top_dps' => round($this->turnTop / Angle::DEGREE, 6),
            'gimbal_units' => ['rate_per_dps' => $this->rateUnit, 'cushion_per_s' => $this->cushionUnit],
            'camera' => $this->camera->toArray(), 'stock' => $this->stock->toArray(),
        ];
    }
}
