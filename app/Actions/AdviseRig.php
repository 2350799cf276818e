<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\School;
use App\Models\Shot;
use Documents\Rig\LeftOut;
use Documents\Rig\RigAdviceDocument;
use Illuminate\Support\Collection;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\ShotDemands;
use Larkspur\Refusal;
use Larkspur\Rig\AdviceWish;
use Larkspur\Rig\House;
use Larkspur\Rig\SettingsAdvice;

/** Recommends the numbers of a mode for planned shots, by core/Rig, in the house that is followed. */
final readonly class AdviseRig
{
    public function __construct(private ReadRig $read)
    {
    }

    /**
     * @param  Collection<int, Shot>  $shots
     * @param  ?array<string, mixed>  $settings  as they stand on the page
     */
    public function __invoke(
        Rig $rig, Craft $craft, string $mode, Collection $shots, House $house, ?array $settings, School $school,
    ): RigAdviceDocument {
        $craftSheet = $craft->sheet();
        $sheet = $craftSheet->setUp($settings ?? $rig->document, $rig->sheet());
        $demands = $left = [];
        foreach ($shots as $shot) {
            try {
                array_push($demands, ...ShotDemands::of(Planner::plan($shot->planned()), $shot->title));
            } catch (Refusal $refusal) {
                $left[] = new LeftOut($shot->title, $refusal->fact);
            }
        }
        $comfort = $school->house_style['comfort'];
        $wish = new AdviceWish($house, $this->read->hands($sheet, $rig)->nudge(), $comfort['least'], $comfort['most']);

        return RigAdviceDocument::of(SettingsAdvice::of($craftSheet, $sheet->mode($mode), $demands, $wish), $sheet, $left);
    }
}
