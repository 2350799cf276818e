<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Recording as Kept;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\User;
use Documents\Practice\RehearsalDocument;
use Documents\Wire;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Practice\Recording;
use Larkspur\Practice\Rehearsal;

/** Keeps a dry rehearsal, judged finger by finger. It is no take: what no craft flew counts apart. */
final readonly class KeepRehearsal
{
    /** @param  array<string, mixed>  $sent */
    public function __invoke(User $user, string $envelope, string $seal, array $sent, Carbon $madeAt): Rehearsal
    {
        $given = Envelope::open($envelope, $seal, $user);
        $recording = Recording::read(Fields::of($sent, 'recording'));
        $exercise = $given->read();
        $rehearsal = Rehearsal::of($exercise->plan->sheet, $recording->travel());
        Kept::query()->firstOrCreate(['operator_id' => $user->id, 'uuid' => $recording->id], [
            'school_id' => $user->school_id,
            'shot_id' => Shot::query()->whereKey($given->shot)->value('id'), 'rig_id' => Rig::query()->whereKey($given->rig)->value('id'),
            'kind' => Kept::REHEARSAL, 'move' => $exercise->shot->intent->move, 'sheet' => $recording->sheet,
            'steps' => $recording->steps(), 'exercise' => $given->exercise,
            'body' => Kept::packed($sent),
            'outcome' => Wire::document(RehearsalDocument::of($rehearsal), null), 'made_at' => $madeAt,
        ]);

        return $rehearsal;
    }
}
