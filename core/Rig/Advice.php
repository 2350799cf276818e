<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Measure\Angle;

/** The advisor's answer for one flight mode: what to set, why, what it does to every shot, and what other numbers would buy and cost. */
final readonly class Advice
{
    /** Variants shown beside each recommendation, as factors of the number. */
    private const LOWER = 0.8;

    private const HIGHER = 1.25;

    private function __construct(public ModeTune $now, public ModeTune $advised, private Advisor $advisor, private AdviceWish $wish, private Craft $craft)
    {
    }

    /** @param  list<Demand>  $demands */
    public static function of(Craft $craft, ModeTune $mode, array $demands, AdviceWish $wish): self
    {
        $advisor = new Advisor($craft, $mode, $demands, $wish);

        return new self($mode, $advisor->recommended(), $advisor, $wish, $craft);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $fingers = [];
        foreach (Finger::cases() as $finger) {
            $demands = $this->advisor->of($finger);
            $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
            $fingers[] = [
                'finger' => $finger->value,
                'unit' => $finger->rotates() ? 'deg/s' : 'm/s',
                'asked' => $demands !== [],
                'now' => $this->numbers($this->now, $finger, $scale),
                'advised' => $this->numbers($this->advised, $finger, $scale),
                'why' => $demands === [] ? 'No shot of the list moves this finger; it stays as it is.' : $this->why($finger, $demands, $scale),
                'cost_now' => round($this->advisor->cost($this->now, $finger), 4),
                'cost_advised' => round($this->advisor->cost($this->advised, $finger), 4),
                'shots' => array_map(fn (Demand $demand): array => [
                    'shot' => $demand->shot,
                    'now' => Reading::of($demand, $this->now, $this->wish->nudge)->toArray($this->wish),
                    'advised' => Reading::of($demand, $this->advised, $this->wish->nudge)->toArray($this->wish),
                ], $demands),
                'trades' => $demands === [] ? [] : $this->trades($finger, $demands, $scale),
            ];
        }

        return [
            'mode' => $this->now->name, 'house' => $this->wish->house->value, 'house_words' => $this->wish->house->words(), 'house_why' => $this->wish->house->why(),
            'nudge' => round($this->wish->nudge, 4), 'seen_widths' => $this->wish->seen, 'comfort' => ['least' => $this->wish->least, 'most' => $this->wish->most],
            'settings' => $this->advised->toArray(), 'fingers' => $fingers,
        ];
    }

    /** @return array{top: float, top_back: float, curve: array<string, mixed>, half: float, cushion_s: ?float} */
    private function numbers(ModeTune $mode, Finger $finger, float $scale): array
    {
        return [
            'top' => round($mode->top($finger) * $scale, 2), 'top_back' => round($mode->top($finger, false) * $scale, 2),
            'curve' => $mode->curve($finger)->toArray(), 'half' => round($mode->curve($finger)->output(0.5), 3),
            'cushion_s' => $finger->rotates() ? round($mode->cushion($finger), 2) : null,
        ];
    }

    /** @param  non-empty-list<Demand>  $demands */
    private function why(Finger $finger, array $demands, float $scale): string
    {
        $unit = $finger->rotates() ? 'deg/s' : 'm/s';
        $most = null;
        $held = [];
        foreach ($demands as $demand) {
            $reading = Reading::of($demand, $this->advised, $this->wish->nudge);
            if ($most === null || $reading->reach > $most->reach) {
                $most = $reading;
            }
            if ($reading->travel !== null) {
                $held[] = $reading->travel;
            }
        }
        $words = sprintf('%s: %s asks most, %.1f %s at %.1f s.', ucfirst($this->wish->house->words()), $most->demand->shot, $most->asked * $scale, $unit, $most->at);
        if ($held !== []) {
            $words .= sprintf(count($held) === 1 || max($held) - min($held) < 0.005 ? ' It is held at %.0f %% of the travel.' : ' Holds lie between %.0f and %.0f %% of the travel.', 100 * min($held), 100 * max($held));
        }

        return $most->reach > 1 + 1e-9 ? $words.sprintf(' More than %s gives in %s mode: fly that shot slower, or in another mode.', $this->craft->name, $this->now->name) : $words;
    }

    /**
     * What each number, loosened or tightened, buys and costs.
     *
     * @param  non-empty-list<Demand>  $demands
     * @return list<array{change: string, buys: list<string>, costs: list<string>}>
     */
    private function trades(Finger $finger, array $demands, float $scale): array
    {
        $unit = $finger->rotates() ? 'deg/s' : 'm/s';
        $top = $this->advised->top($finger);
        $half = $this->advised->curve($finger)->output(0.5);
        $cushion = $finger->rotates() ? $this->advised->cushion($finger) : null;
        $ceiling = $this->craft->ceiling($this->advised->name, $finger);
        $variants = [
            [sprintf('Top %.1f %s', self::LOWER * $top * $scale, $unit), self::LOWER * $top, $half, $cushion],
            [sprintf('Top %.1f %s', min($ceiling, self::HIGHER * $top) * $scale, $unit), min($ceiling, self::HIGHER * $top), $half, $cushion],
            ['A softer curve', $top, max(0.15, $half - 0.08), $cushion],
            ['A straighter curve', $top, min(0.55, $half + 0.08), $cushion],
        ];
        if ($cushion !== null) {
            $variants[] = [sprintf('A cushion of %.1f s', $cushion / 2), $top, $half, $cushion / 2];
            $variants[] = [sprintf('A cushion of %.1f s', $cushion * 1.6), $top, $half, $cushion * 1.6];
        }
        $trades = [];
        foreach ($variants as [$change, $otherTop, $otherHalf, $otherCushion]) {
            if ($otherTop === $top && $otherHalf === $half && $otherCushion === $cushion) {
                continue;
            }
            $other = $this->advisor->candidate($this->advised, $finger, $otherTop, $otherHalf, $otherCushion);
            $buys = $costs = [];
            foreach ($demands as $demand) {
                $here = Reading::of($demand, $this->advised, $this->wish->nudge);
                $there = Reading::of($demand, $other, $this->wish->nudge);
                foreach (array_diff($there->troubles($this->wish), $here->troubles($this->wish)) as $trouble) {
                    $costs[] = $demand->shot.': '.$trouble;
                }
                if ($there->nudge !== null && $here->nudge !== null && $there->nudge < 0.97 * $here->nudge) {
                    $buys[] = sprintf('%s: a nudge shows %.0f %% less', $demand->shot, 100 * (1 - $there->nudge / $here->nudge));
                }
                if ($there->nudge !== null && $here->nudge !== null && $there->nudge > 1.03 * $here->nudge && $there->troubles($this->wish) === []) {
                    $costs[] = sprintf('%s: a nudge shows %.0f %% more', $demand->shot, 100 * ($there->nudge / $here->nudge - 1));
                }
                if ($there->reach < 0.97 * $here->reach) {
                    $buys[] = sprintf('%s: %.0f %% of the rate in reserve instead of %.0f', $demand->shot, 100 * max(0.0, 1 - $there->reach), 100 * max(0.0, 1 - $here->reach));
                }
            }
            $was = Response::of($this->advised, $finger)->stopSeconds();
            $is = Response::of($other, $finger)->stopSeconds();
            if (abs($is - $was) > 0.04) {
                $words = sprintf('every stop takes %.1f s instead of %.1f', $is, $was);
                $is > $was ? $buys[] = $words.', softer' : $costs[] = $words.', harder';
            }
            $trades[] = ['change' => $change, 'buys' => $buys, 'costs' => $costs];
        }

        return $trades;
    }
}
