<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\RigComparison;
use App\Documents\RigDocument;
use App\Documents\RigSide;
use App\Models\Rig;
use Documents\Rig\RigChange;
use Larkspur\Rig\Difference;
use Larkspur\Rig\SettingsEffect;

/** Two rigs beside each other in one of their modes. */
final readonly class CompareRigs
{
    public function __construct(private ReadRig $read)
    {
    }

    public function __invoke(Rig $one, Rig $other, string $mode): RigComparison
    {
        $same = $one->craft_id === $other->craft_id;

        return new RigComparison(
            $this->side($one, $mode), $this->side($other, $mode), $same,
            $same ? RigChange::each(Difference::between($other->settings(), $one->settings())) : [],
        );
    }

    private function side(Rig $rig, string $mode): RigSide
    {
        $rig->load(['model', 'operator', 'author']);

        return new RigSide(RigDocument::of($rig), ($this->read)($rig, $rig->model, $mode, null, null, null, SettingsEffect::LOOKED_AT));
    }
}
