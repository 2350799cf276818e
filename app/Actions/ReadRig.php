<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\Take;
use Documents\Rig\RigCamera;
use Documents\Rig\RigReadingDocument;
use Larkspur\Camera\Lens;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\Difference;
use Larkspur\Rig\Hands;
use Larkspur\Rig\Rig as RigSheet;
use Larkspur\Rig\SettingsEffect;

/** Says what settings mean before anyone saves them: asked at every drag of a curve. */
final readonly class ReadRig
{
    /** Takes whose tremble is looked at, and the fewest that tell. */
    private const LOOK_BACK = 20;

    private const FEWEST = 3;

    /**
     * @param  ?array<string, mixed>  $settings  as they stand on the page; the rig's own where null
     * @param  ?array{finger: string, travel: float, output: float, kind?: ?string}  $drag  a point that the curve of a finger is pulled
     *     through
     * @param  ?array{finger: string, seconds: float}  $cushion  seconds in which a turn or a tilt is to be there
     * @return RigReadingDocument of a drag the dragged finger alone: it is asked for at every move of a pointer
     */
    public function __invoke(
        Rig $rig, Craft $craft, string $mode, ?array $settings, ?array $drag, ?float $focal, float $distance, ?array $cushion = null,
    ): RigReadingDocument {
        $craftSheet = $craft->sheet();
        $sheet = $craftSheet->setUp($settings ?? $rig->document, $rig->sheet());
        $finger = null;
        if ($drag !== null) {
            $fields = Fields::of($drag, 'drag');
            $finger = Finger::from($fields->choiceOrNull('finger', array_column(Finger::cases(), 'value')) ?? 'turn');
            $tune = $sheet->mode($mode);
            $kind = $fields->textOrNull('kind') ?? $tune->curve($finger)->toArray()['kind'];
            $curve = CurveKinds::through(
                $kind, $fields->number('travel', 0, 1), $fields->number('output', 0, 1),
                $tune->top($finger) / ($finger->rotates() ? Angle::DEGREE : 1.0),
            );
            $sheet = $sheet->withMode($tune->with($finger, curve: $curve));
        }
        if ($cushion !== null) {
            $fields = Fields::of($cushion, 'cushion');
            $cushioned = Finger::from($fields->choiceOrNull('finger', [Finger::Turn->value, Finger::Tilt->value]) ?? Finger::Tilt->value);
            $sheet = $craftSheet->setUp(
                $sheet->withMode($sheet->mode($mode)->with($cushioned, cushion: $fields->number('seconds', 0, 5, 's')))->toArray(),
                $rig->sheet(),
            );
        }
        $lens = $focal === null ? Lens::read(Fields::of($rig->camera)) : $craftSheet->camera->lens($focal);
        $hands = $this->hands($sheet, $rig);
        $camera = $focal === null ? $rig->camera : [...$lens->toArray(), 'focal_mm' => $focal];

        return RigReadingDocument::of(
            $rig->id, $sheet, RigCamera::of($camera), new SettingsEffect($craftSheet, $sheet->mode($mode), $lens, $hands, $distance),
            Difference::between($rig->settings(), [...$sheet->toArray(), 'camera' => $camera]), $finger,
        );
    }

    /** The operator's hands, with the tremble of their own logs where enough of them tell it. */
    public function hands(RigSheet $sheet, Rig $rig): Hands
    {
        if ($rig->operator_id === null) {
            return $sheet->hands ?? new Hands;
        }
        $hands = $sheet->hands ?? Hands::read(Fields::of($rig->loadMissing('operator')->operator?->only(['stick_mode', 'wheel_up']) ?? []));
        // Plain numbers: a record made of each would cost more than the query.
        $takes = Take::handFlown()->where('operator_id', $rig->operator_id)->toBase();
        $takes->whereNotNull('tremble')->orderByDesc('flown_at')->limit(self::LOOK_BACK);
        $trembles = $takes->pluck('tremble')->map(floatval(...))->all();

        return count($trembles) < self::FEWEST ? $hands : $hands->withTremble(Statistics::median(array_values($trembles)));
    }
}
