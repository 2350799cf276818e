<?php

declare(strict_types=1);

namespace App\Paper;

/** The five staves of a thumb sheet as an SVG for paper: black on white, each with its name and its ends. */
final class StaveSvg
{
    private const NAMES = ['climb' => 'Climb', 'turn' => 'Turn', 'run' => 'Run', 'slide' => 'Slide', 'tilt' => 'Tilt'];

    private const LEFT = 108;

    /** All staves together are about as high as five narrow ones, however few play. */
    private const HIGH = 240;

    /**
     * @param  array<string, mixed>  $plan  as Choreography\Plan gives it
     * @return string an image for the src of an img
     */
    public static function image(array $plan, int $width = 1000): string
    {
        $times = $plan['samples']['t'];
        $end = max(1e-6, (float) end($times));
        $x = static fn (float $t): float => self::LEFT + ($width - self::LEFT - 6) * $t / $end;
        $lanes = array_values(array_filter($plan['presses'], static fn (array $press): bool => $press['kind'] !== 'rests'));
        $lane = max(44, min(80, intdiv(self::HIGH, max(1, count($lanes)))));
        $height = $lane * max(1, count($lanes)) + 26;
        $svg = '';
        foreach ([[$plan['phases']['hold_from_s'], $plan['phases']['hold_to_s']]] as [$from, $to]) {
            $svg .= sprintf('<rect x="%.1F" y="0" width="%.1F" height="%d" fill="#EFEBE0"/>', $x($from), max(0, $x($to) - $x($from)), $height - 26);
        }
        foreach ($lanes as $k => $press) {
            $middle = $lane * $k + $lane / 2;
            $points = [];
            foreach (((array) $plan['fingers'])[$press['finger']] as $i => $travel) {
                $points[] = sprintf('%.1F,%.1F', $x($times[$i]), $middle - $travel * ($lane / 2 - 3));
            }
            $svg .= sprintf('<line x1="%d" y1="%.1F" x2="%d" y2="%.1F" stroke="#5C5878" stroke-width="1"/>', self::LEFT, $middle, $width - 6, $middle)
                .sprintf('<polygon points="%.1F,%.1F %s %.1F,%.1F" fill="#8F86E0" stroke="#1E1B3A" stroke-width="2"/>', $x(0), $middle, implode(' ', $points), $x($end), $middle)
                .sprintf('<text x="0" y="%.1F" font-size="19" font-weight="bold" fill="#1E1B3A">%s</text>', $middle - 1, self::NAMES[$press['finger']])
                .sprintf(
                    '<text x="0" y="%.1F" font-size="15" fill="#1E1B3A">%s %d %%</text>', $middle + 17, htmlspecialchars($press['ends'][$press['peak'] >= 0 ? 1 : 0]),
                    round(100 * abs($press['hold'] != 0.0 ? $press['hold'] : $press['peak'])),
                );
        }
        $step = $end > 40 ? 10 : 5;
        for ($t = 0; $t <= $end; $t += $step) {
            $svg .= sprintf('<line x1="%.1F" y1="%d" x2="%.1F" y2="%d" stroke="#1E1B3A"/><text x="%.1F" y="%d" font-size="16" text-anchor="middle" fill="#1E1B3A">%d s</text>', $x($t), $height - 26, $x($t), $height - 20, max(self::LEFT + 10, $x($t)), $height - 3, $t);
        }

        return self::coded($svg, $width, $height);
    }

    public static function coded(string $svg, float $width, float $height): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode(sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.0F" height="%2$.0F" viewBox="0 0 %1$.0F %2$.0F">%3$s</svg>', $width, $height, $svg));
    }
}
