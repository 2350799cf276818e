<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fields;
use Larkspur\Measure\Angle;

/** Something about a set that is odd but may be meant: told, never in the way. */
final readonly class Oddity
{
    private function __construct(public string $place, public string $text)
    {
    }

    /**
     * A mode that is quicker, or less cushioned, or sharper about the centre than the one above it. Real sets of
     * practitioners do this on purpose (common practice, no published source).
     *
     * @return list<self>
     */
    public static function of(Rig $rig): array
    {
        $odd = [];
        foreach ([['slow', 'standard'], ['standard', 'fast']] as [$lower, $upper]) {
            [$a, $b] = [$rig->mode($lower), $rig->mode($upper)];
            foreach (Finger::cases() as $finger) {
                $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
                $unit = $finger->rotates() ? 'deg/s' : 'm/s';
                if ($a->top($finger) > $b->top($finger) * (1 + 1e-9)) {
                    $odd[] = new self("modes.$lower.$finger->value.top", sprintf('%s is quicker in %s mode (%s %s) than in %s (%s).', ucfirst($finger->value), $lower, Fields::figure($a->top($finger) * $scale), $unit, $upper, Fields::figure($b->top($finger) * $scale)));
                }
                if ($finger->rotates() && $a->cushion($finger) < $b->cushion($finger) - 0.005) {
                    $odd[] = new self("modes.$lower.$finger->value.cushion", sprintf('%s starts and stops harder in %s mode (%s s) than in %s (%s s).', ucfirst($finger->value), $lower, Fields::figure($a->cushion($finger)), $upper, Fields::figure($b->cushion($finger))));
                }
                if ($a->curve($finger)->output(0.25) > $b->curve($finger)->output(0.25) + 0.02) {
                    $odd[] = new self("modes.$lower.$finger->value.curve", sprintf('%s is sharper about the centre in %s mode than in %s.', ucfirst($finger->value), $lower, $upper));
                }
            }
        }
        foreach ($rig->modes as $name => $mode) {
            if ($mode->tiltCushion < 0.1) {
                $odd[] = new self("modes.$name.tilt.cushion", sprintf('Without a cushion in %s mode every stop of the wheel can be seen.', $name));
            }
        }
        if ($rig->tiltHigh <= 0) {
            $odd[] = new self('tilt_range_deg.high', 'The gimbal may not look above level: a finish into the sky will stop at the horizon.');
        }

        return $odd;
    }

    /** @return array{place: string, text: string} */
    public function toArray(): array
    {
        return ['place' => $this->place, 'text' => $this->text];
    }
}
