<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/** The camera that a craft carries: sensor, focal lengths, and what it records. */
final readonly class CraftCamera
{
    /**
     * @param  float  $sensorWidth  of the part that is recorded, mm
     * @param  float  $sensorHeight  mm
     * @param  list<float>  $focals  focal lengths, mm, real ones and not those of some other format
     * @param  list<float>  $frameRates  frames per second
     * @param  list<array{int, int}>  $resolutions  pixels, width and height
     * @param  list<float>  $apertures  f-numbers
     */
    public function __construct(
        public float $sensorWidth,
        public float $sensorHeight,
        public array $focals,
        public array $frameRates,
        public array $resolutions,
        public array $apertures,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $sensor = $fields->group('sensor_mm');

        return new self(
            $sensor->number('width', 1, 60, 'mm'), $sensor->number('height', 1, 60, 'mm'),
            $fields->numbers('focal_mm', 0.8, 600, 'mm'), $fields->numbers('frame_rates', 1, 1000),
            array_map(static fn (array $pair): array => [(int) $pair[0], (int) $pair[1]], $fields->pairs('resolutions')),
            $fields->numbers('apertures', 0.7, 45),
        );
    }

    /** The lens at one of its focal lengths; the shortest where none is said. Shape of the frame: that of the first resolution. */
    public function lens(?float $focal = null): Lens
    {
        $focal ??= $this->focals[0];
        if (! in_array($focal, $this->focals, true)) {
            throw new Refusal(
                Fact::of('craft-camera.craft-carries-such-lens'), 'focal_mm',
                Fact::of('craft-camera.one-mm', focals: implode(', ', array_map(Fields::written(...), $this->focals))),
            );
        }
        $shape = $this->resolutions[0] ?? [16, 9];

        return Lens::ofSensor($this->sensorWidth, $focal, $shape[0] / max(1, $shape[1]));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'sensor_mm' => ['width' => $this->sensorWidth, 'height' => $this->sensorHeight], 'focal_mm' => $this->focals,
            'frame_rates' => $this->frameRates, 'resolutions' => $this->resolutions, 'apertures' => $this->apertures,
        ];
    }
}
