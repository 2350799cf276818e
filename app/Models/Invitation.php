<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody who may come to a school with the link that was sent or copied; the link itself is kept nowhere.
 *
 * @property int $id
 * @property int $school_id
 * @property int $inviter_id
 * @property string $email
 * @property 'trainer'|'operator'|'viewer' $role
 * @property string $token
 * @property Carbon $until
 * @property ?Carbon $taken_at
 * @property-read School $school
 * @property-read User $inviter
 */
final class Invitation extends Model
{
    use BelongsToSchool;

    protected $fillable = ['school_id', 'inviter_id', 'email', 'role', 'token', 'until', 'taken_at'];

    /** @var array<string, string> */
    protected $casts = ['until' => 'datetime', 'taken_at' => 'datetime'];

    /** The invitation that a link belongs to, while it can still be taken. */
    public static function ofLink(string $token): ?self
    {
        return self::open()->withoutGlobalScopes()->where('token', hash('sha256', $token))->first();
    }

    /** @return Builder<self> those that can still be taken, the latest first */
    public static function open(): Builder
    {
        $open = self::query()->where('until', '>', now())->latest('id');
        $open->whereNull('taken_at')->limit(200);

        return $open;
    }

    /** @return BelongsTo<User, $this> */
    public function inviter(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
