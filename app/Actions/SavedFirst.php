<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\FlightDay;
use App\Models\Ladder;
use App\Models\Lesson;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use Larkspur\Fact;
use Larkspur\Rig\ThreeWay;
use RuntimeException;

/** Somebody else saved the same record first. Nothing is lost: what they saved is told, and the second saver decides. */
final class SavedFirst extends RuntimeException
{
    /** @param  ?ThreeWay  $difference  of a rig: what either changed */
    public function __construct(
        public readonly Craft|FlightDay|Ladder|Lesson|Rig|Shot|Site $latest, public readonly ?ThreeWay $difference = null,
    ) {
        parent::__construct('Somebody else saved first.');
    }

    /** What is said of it. */
    public function fact(): Fact
    {
        return match (true) {
            $this->latest instanceof Rig => $this->latest->author === null
                ? Fact::of('rig.saved-first-by-somebody', version: $this->latest->version)
                : Fact::of('rig.saved-first', who: $this->latest->author->name, version: $this->latest->version),
            $this->latest instanceof Site => Fact::of('site.saved-first'),
            $this->latest instanceof Shot => Fact::of('shot.saved-first'),
            $this->latest instanceof FlightDay => Fact::of('day.saved-first'),
            $this->latest instanceof Ladder => Fact::of('ladder.saved-first'),
            $this->latest instanceof Lesson => Fact::of('lesson.saved-first'),
            default => Fact::of('craft.saved-first'),
        };
    }
}
