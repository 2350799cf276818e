<?php

declare(strict_types=1);

namespace Larkspur\Move;

/**
 * Any shot move flown low and slow: more foreground, more felt speed, and a crash that is nearer. It changes what nobody stated: the height
 * of the lowest place, the pace and the ease. All values our judgement (no published source).
 */
final readonly class LowAndSlow
{
    /** The parameter that asks for it. */
    public const MANNER = 'manner';

    public const USUAL = 'as usual';

    public const LOW = 'low and slow';

    /** The lowest place of a low shot over the foot or the ground, m: knee to hip height, above what holds the height (0.5 m). */
    private const HEIGHT = 1.5;

    private const SLOWER = 0.5;

    /** A slow finger needs a longer breath. */
    private const EASES = 1.5;

    public static function asked(Intent $intent): bool
    {
        return $intent->choice(self::MANNER) === self::LOW;
    }

    /**
     * The defaults as they become low and slow.
     *
     * @param  array<string, float|string>  $defaults  by id, of what the intent leaves open
     * @return array<string, float|string> those that change
     */
    public static function of(array $defaults, Intent $intent): array
    {
        $number = static fn (string $id): ?float => isset($defaults[$id]) && is_float($defaults[$id]) ? $defaults[$id] : null;
        $changed = [];
        $height = $number('height_m');
        if ($height !== null) {
            $climb = $intent->number('climb_m') ?? $number('climb_m') ?? 0.0;
            $changed['height_m'] = min($height, self::HEIGHT - min(0.0, $climb));
        }
        foreach (['pace_mps', 'pace_end_mps', 'climb_mps'] as $pace) {
            if ($number($pace) !== null) {
                $changed[$pace] = max(0.2, round(self::SLOWER * $number($pace), 1));
            }
        }
        if ($number('ease_s') !== null) {
            $changed['ease_s'] = round(self::EASES * $number('ease_s'), 1);
        }

        return $changed;
    }
}
