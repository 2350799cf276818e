<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * Which column of somebody's CSV states which quantity, in which unit, and by which clock: guessed (ColumnGuess), confirmed by
 * a person, and remembered by the names of the columns (schema "larkspur/columns/1", docs/formats.md).
 */
final readonly class ColumnMapping
{
    public const SCHEMA = 'larkspur/columns/1';

    /** Without these nothing can be judged; heading and tilt may be missing, and cost the facets that rest on them. */
    public const NEEDED = ['t', 'lat', 'lon', 'alt_m'];

    /**
     * Units in which a quantity may be written: factor and offset to the contract's unit. Factors are exact by definition
     * (NIST SP 811, appendix B); stick ranges are common practice, no published source.
     *
     * @var array<string, array<string, array{float, float}>>
     */
    public const UNITS = [
        'lat' => self::DEGREES + ['1e-7 deg' => [1e-7, 0.0]],
        'lon' => self::DEGREES + ['1e-7 deg' => [1e-7, 0.0]],
        'alt_m' => self::LENGTHS,
        'heading_deg' => self::DEGREES + ['0.1 deg' => [0.1, 0.0], '0.01 deg' => [0.01, 0.0]],
        'gimbal_tilt_deg' => self::DEGREES + [
            'deg, down positive' => [-1.0, 0.0], 'deg from straight down' => [1.0, -90.0], '0.1 deg' => [0.1, 0.0],
            '0.01 deg' => [0.01, 0.0],
        ],
        'gimbal_roll_deg' => self::DEGREES + ['0.1 deg' => [0.1, 0.0]],
        'speed_mps' => self::SPEEDS,
        'climb_mps' => self::SPEEDS + ['m/s, down positive' => [-1.0, 0.0], 'ft/min' => [0.00508, 0.0]],
        'wind_mps' => self::SPEEDS,
        'wind_from_deg' => self::DEGREES,
        'stick_climb' => self::STICKS, 'stick_turn' => self::STICKS, 'stick_run' => self::STICKS, 'stick_slide' => self::STICKS,
        'stick_tilt' => self::STICKS,
        'zoom' => ['x' => [1.0, 0.0]], 'automated' => ['0 or 1' => [1.0, 0.0]], 'recording' => ['0 or 1' => [1.0, 0.0]],
        'subject_lat' => self::DEGREES, 'subject_lon' => self::DEGREES, 'subject_alt_m' => self::LENGTHS,
    ];

    private const DEGREES = ['deg' => [1.0, 0.0], 'rad' => [180 / M_PI, 0.0]];

    private const LENGTHS = ['m' => [1.0, 0.0], 'ft' => [0.3048, 0.0], 'cm' => [0.01, 0.0], 'mm' => [0.001, 0.0]];

    private const SPEEDS = [
        'm/s' => [1.0, 0.0], 'km/h' => [1 / 3.6, 0.0], 'mph' => [0.44704, 0.0], 'kn' => [1852 / 3600, 0.0], 'ft/s' => [0.3048, 0.0],
        'cm/s' => [0.01, 0.0],
    ];

    private const STICKS = [
        '-1 to 1' => [1.0, 0.0], '-100 to 100' => [0.01, 0.0], '0 to 100' => [0.02, -1.0], '0 to 1' => [2.0, -1.0],
        '1000 to 2000' => [0.002, -3.0],
    ];

    /** @param  array<string, array{column: string, unit: string}>  $columns  by contract name; 't' has its clock as unit */
    public function __construct(public array $columns)
    {
    }

    public static function read(Fields $fields): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('column-mapping.file-says', schema: $schema), $fields->place('schema'),
                Fact::of('column-mapping.text', schema: self::SCHEMA),
            );
        }
        $given = $fields->group('columns');
        $columns = [];
        foreach ($given->names() as $name) {
            $column = $given->group($name);
            if ($name === 'flight_mode') {
                $columns[$name] = ['column' => $column->text('column'), 'unit' => ''];

                continue;
            }
            if ($name !== 't' && ! isset(self::UNITS[$name])) {
                throw new Refusal(
                    Fact::of('column-mapping.quantity-flight-log', name: $name), $given->place($name),
                    Fact::of('column-mapping.one-t', units: implode(', ', array_keys(self::UNITS))),
                );
            }
            $units = $name === 't' ? array_column(Clock::cases(), 'value') : array_keys(self::UNITS[$name]);
            $columns[$name] = [
                'column' => $column->text('column'),
                'unit' => $column->choiceOrNull('unit', array_map(strval(...), $units)) ?? (string) $units[0],
            ];
        }
        foreach (self::NEEDED as $name) {
            if (! isset($columns[$name])) {
                throw new Refusal(
                    Fact::of('column-mapping.column-states', name: $name), $given->place($name), Fact::of('column-mapping.name-column'),
                );
            }
        }
        $used = array_count_values(array_column($columns, 'column'));
        foreach ($columns as $name => $column) {
            if ($used[$column['column']] > 1) {
                throw new Refusal(
                    Fact::of('column-mapping.states-two-quantities', column: $column['column']), $given->place($name),
                    Fact::of('column-mapping.another-column'),
                );
            }
        }

        return new self($columns);
    }

    /**
     * Quantities that a column may state, for a form.
     *
     * @return list<array{id: string, name: Fact, needed: bool, units: list<string>}>
     */
    public static function quantities(): array
    {
        $all = [];
        foreach (array_keys(['t' => [], ...self::UNITS]) as $id) {
            $all[] = [
                'id' => $id, 'name' => Fact::of("quantity.$id"), 'needed' => in_array($id, self::NEEDED, true),
                'units' => $id === 't' ? array_column(Clock::cases(), 'value') : array_map(strval(...), array_keys(self::UNITS[$id])),
            ];
        }

        return $all;
    }

    public function clock(): Clock
    {
        return Clock::from($this->columns['t']['unit'] ?? 's');
    }

    /** @return array{float, float} factor and offset of a column to the contract's unit */
    public function scale(string $name): array
    {
        return self::UNITS[$name][$this->columns[$name]['unit'] ?? ''] ?? [1.0, 0.0];
    }

    /**
     * A name for files with these columns, whatever their order: what a remembered mapping is found by.
     *
     * @param  list<string>  $headers
     */
    public static function fingerprint(array $headers): string
    {
        $names = array_map(static fn (string $header): string => mb_strtolower(trim($header)), $headers);
        sort($names);

        return hash('sha256', implode("\n", $names));
    }

    /** @return array{schema: string, columns: array<string, array{column: string, unit: string}>} */
    public function toArray(): array
    {
        return ['schema' => self::SCHEMA, 'columns' => $this->columns];
    }
}
