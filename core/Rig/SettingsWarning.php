<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** Something about a set that is odd but may be meant: told, never in the way. */
final readonly class SettingsWarning
{
    /** @param  ?float  $mend  what would mend it there, in the unit of the file; nothing is changed until somebody says so */
    private function __construct(public string $place, public Fact $text, public ?float $mend = null)
    {
    }

    /**
     * A mode that is quicker, or less cushioned, or sharper about the centre than the one above it. Real sets of
     * practitioners do this on purpose (common practice, no published source).
     *
     * @return list<self>
     */
    public static function of(Rig $rig, ?Craft $craft = null): array
    {
        $odd = array_map(
            static fn (Beyond $one): self => new self($one->place, $one->told(Difference::nameOf($one->place)), $one->limit),
            $craft?->beyond($rig) ?? [],
        );
        foreach ([['slow', 'standard'], ['standard', 'fast']] as [$lower, $upper]) {
            [$a, $b] = [$rig->mode($lower), $rig->mode($upper)];
            foreach (Finger::cases() as $finger) {
                if ($a->top($finger) > $b->top($finger) * (1 + 1e-9)) {
                    $odd[] = new self(
                        "modes.$lower.$finger->value.top",
                        Fact::of(
                            'settings-warning.quicker-mode', finger: $finger->value, lower: Fact::of("mode.$lower"),
                            lowerTop: $finger->rate($a->top($finger)), upper: Fact::of("mode.$upper"),
                            upperTop: $finger->rate($b->top($finger)),
                        ),
                    );
                }
                if ($finger->rotates() && $a->cushion($finger) < $b->cushion($finger) - 0.005) {
                    $odd[] = new self(
                        "modes.$lower.$finger->value.cushion",
                        Fact::of(
                            'settings-warning.starts-stops-harder-mode', finger: $finger->value, lower: Fact::of("mode.$lower"),
                            lowerCushion: Quantity::seconds($a->cushion($finger)), upper: Fact::of("mode.$upper"),
                            upperCushion: Quantity::seconds($b->cushion($finger)),
                        ),
                    );
                }
                if ($a->curve($finger)->output(0.25) > $b->curve($finger)->output(0.25) + 0.02) {
                    $odd[] = new self(
                        "modes.$lower.$finger->value.curve",
                        Fact::of(
                            'settings-warning.sharper-about-centre-mode', finger: $finger->value, lower: Fact::of("mode.$lower"),
                            upper: Fact::of("mode.$upper"),
                        ),
                    );
                }
            }
        }
        foreach ($rig->modes as $name => $mode) {
            if ($mode->tiltCushion < 0.1) {
                $odd[] = new self(
                    "modes.$name.tilt.cushion", Fact::of('settings-warning.without-cushion-mode-every', mode: Fact::of("mode.$name")),
                );
            }
        }
        if ($rig->tiltHigh <= 0) {
            $odd[] = new self('tilt_range_deg.high', Fact::of('settings-warning.gimbal-may-not-look'));
        }

        return $odd;
    }
}
