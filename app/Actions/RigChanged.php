<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Exception;
use Larkspur\Rig\Difference;

/** Somebody else saved the same rig first. Nothing is lost: both sets of changes are told, and the second saver decides. */
final class RigChanged extends Exception
{
    /** @param  array{theirs: list<Difference>, mine: list<Difference>, both: list<string>}  $difference */
    public function __construct(public readonly Rig $latest, public readonly array $difference)
    {
        parent::__construct(sprintf('%s saved version %d of this rig while you worked on it. Yours is not lost: look at both and decide.', $latest->author->name ?? 'Somebody', $latest->version));
    }
}
