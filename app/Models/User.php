<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Laravel\Sanctum\HasApiTokens;
use Larkspur\Rig\House;

/**
 * Someone of a school: a trainer or an operator, with the sticks as they hold them.
 *
 * @property int $id
 * @property int $school_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property 'trainer'|'operator' $role
 * @property int $stick_mode
 * @property string $wheel_up
 * @property 'metric'|'feet' $units
 * @property 'light'|'dark'|'field' $theme
 * @property ?string $house
 * @property-read School $school
 */
final class User extends Authenticatable
{
    use BelongsToSchool;
    use HasApiTokens;

    /** @use HasFactory<\Database\Factories\UserFactory> */
    use HasFactory;

    use Notifiable;

    public const TRAINER = 'trainer';

    public const OPERATOR = 'operator';

    protected $fillable = ['school_id', 'name', 'email', 'password', 'role', 'stick_mode', 'wheel_up', 'units', 'theme', 'house'];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['role' => self::OPERATOR, 'stick_mode' => 2, 'wheel_up' => 'push', 'units' => 'metric', 'theme' => 'light'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed', 'stick_mode' => 'integer'];

    public function isTrainer(): bool
    {
        return $this->role === self::TRAINER;
    }

    /** The house of thought about settings that is followed: their own where a trainer chose one, else the school's. */
    public function housed(): House
    {
        return House::from($this->house ?? $this->school->house_style['house'] ?? School::HOUSE_STYLE['house']);
    }
}
