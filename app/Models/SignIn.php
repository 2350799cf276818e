<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One place where a person is signed in.
 *
 * @property int $id
 * @property int $user_id
 * @property string $address
 * @property string $agent
 * @property Carbon $seen_at
 * @property ?Carbon $ended_at
 * @property Carbon $created_at
 */
final class SignIn extends Model
{
    protected $fillable = ['user_id', 'address', 'agent', 'seen_at', 'ended_at'];

    /** @var array<string, string> */
    protected $casts = ['seen_at' => 'datetime', 'ended_at' => 'datetime'];
}
