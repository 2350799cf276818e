<?php

declare(strict_types=1);

namespace App\Practice;

use App\Actions\DraftShot;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Documents\Practice\ExerciseDocument;
use Documents\Rig\RigCamera;
use Larkspur\Choreography\Shot as PlannedShot;
use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Exercise;
use Words\Speaker;

/** Sets an exercise for whoever asks: of a planned shot, or of a drill or a site as they name it. */
final readonly class SetExercise
{
    public function __construct(private DraftShot $draft)
    {
    }

    /** @param  array<string, mixed>  $conditions */
    public function ofShot(User $user, Shot $shot, array $conditions, int $seed, Speaker $speaker): ExerciseDocument
    {
        return self::set('plan', $shot->title, $shot->planned(), $conditions, $seed, $user, $shot->id, $shot->rig, $speaker);
    }

    /**
     * @param  'plan'|'free'  $kind
     * @param array{
     *     mode: string, move: string, subject_id?: ?string,
     *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
     *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
     * } $draft
     * @param  array<string, mixed>  $conditions
     */
    public function ofDraft(
        string $kind, User $user, Site $site, Rig $rig, array $draft, array $conditions, int $seed, Speaker $speaker,
    ): ExerciseDocument {
        $shot = ($this->draft)($site, $rig, $user, $draft)['shot'];
        $title = $kind === 'free' ? $site->name : $speaker->say(Catalogue::nameOf($draft['move']));

        return self::set($kind, $title, $shot, $conditions, $seed, $user, null, $rig, $speaker);
    }

    /**
     * @param  'plan'|'free'  $kind
     * @param  array<string, mixed>  $conditions
     */
    private static function set(
        string $kind, string $title, PlannedShot $shot, array $conditions, int $seed, User $user, ?int $shotId, Rig $rig, Speaker $speaker,
    ): ExerciseDocument {
        // Whoever practises has their own sticks in their hands, whosever shot it is.
        $own = $shot->inHands(StickMode::from($user->stick_mode), $user->wheel_up !== 'pull');
        $exercise = Exercise::of($kind, $title, $own, Conditions::read(Fields::of($conditions, 'conditions')), $seed);
        // Compiled from what is given out, to the last digit: the recording comes back with that.
        $given = Exercise::read(Fields::of(json_decode((string) json_encode($exercise->toArray()), true)), kept: true);

        return ExerciseDocument::of(
            $given, Envelope::seal($user, $shotId, $rig->id, $exercise), $shotId, $rig->id, RigCamera::of($rig->camera), (float) time(),
        );
    }
}
