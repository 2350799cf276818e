<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** A number with its dimension, in SI units and radians: what a fact holds instead of digits with a unit behind them. */
final readonly class Quantity implements \JsonSerializable
{
    private function __construct(public float $value, public Dimension $dimension)
    {
    }

    public static function of(float $value, Dimension $dimension): self
    {
        return new self($value, $dimension);
    }

    public static function metres(float $metres): self
    {
        return new self($metres, Dimension::Length);
    }

    public static function metresPerSecond(float $speed): self
    {
        return new self($speed, Dimension::Speed);
    }

    public static function metresPerSecond2(float $acceleration): self
    {
        return new self($acceleration, Dimension::Acceleration);
    }

    public static function radians(float $angle): self
    {
        return new self($angle, Dimension::Angle);
    }

    public static function degrees(float $angle): self
    {
        return new self($angle * Angle::DEGREE, Dimension::Angle);
    }

    public static function radiansPerSecond(float $rate): self
    {
        return new self($rate, Dimension::AngularRate);
    }

    public static function degreesPerSecond(float $rate): self
    {
        return new self($rate * Angle::DEGREE, Dimension::AngularRate);
    }

    public static function radiansPerSecond2(float $acceleration): self
    {
        return new self($acceleration, Dimension::AngularAcceleration);
    }

    public static function seconds(float $seconds): self
    {
        return new self($seconds, Dimension::Time);
    }

    public static function minutes(float $minutes): self
    {
        return new self(60 * $minutes, Dimension::Time);
    }

    /** A moment on the clock of a recording or a log. */
    public static function moment(float $seconds): self
    {
        return new self($seconds, Dimension::Moment);
    }

    /** @param  float  $share  1 for the whole */
    public static function share(float $share): self
    {
        return new self($share, Dimension::Share);
    }

    public static function percent(float $percent): self
    {
        return new self($percent / 100, Dimension::Share);
    }

    public static function percentPerSecond(float $percent): self
    {
        return new self($percent / 100, Dimension::SharePerSecond);
    }

    public static function points(float $points): self
    {
        return new self($points, Dimension::Points);
    }

    /** How many times something happened. */
    public static function times(float $times): self
    {
        return new self($times, Dimension::Times);
    }

    public static function number(float $number): self
    {
        return new self($number, Dimension::Number);
    }

    /** A quantity that was kept as JSON; null for anything else. */
    public static function read(mixed $kept): ?self
    {
        $dimension = is_array($kept) && is_string($kept['unit'] ?? null) ? Dimension::tryFrom($kept['unit']) : null;
        $value = is_array($kept) ? $kept['value'] ?? null : null;

        return $dimension !== null && (is_int($value) || is_float($value)) ? new self((float) $value, $dimension) : null;
    }

    /** @return array{value: float, unit: string} */
    public function jsonSerialize(): array
    {
        return ['value' => round($this->value, 6), 'unit' => $this->dimension->value];
    }
}
