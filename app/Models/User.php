<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\HasApiTokens;
use Larkspur\Fields;
use Larkspur\Rig\House;
use Larkspur\Training\HouseStyle;

/**
 * Someone of a school: a trainer, an operator or a viewer, with the sticks as they hold them.
 *
 * @property int $id
 * @property int $school_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property 'trainer'|'operator'|'viewer' $role
 * @property int $stick_mode
 * @property string $wheel_up
 * @property 'metric'|'feet' $units
 * @property 'light'|'dark'|'field' $theme
 * @property ?string $house
 * @property ?array<string, mixed> $training
 * @property ?string $totp_secret  in base 32
 * @property ?Carbon $totp_since
 * @property int $totp_step
 * @property ?list<string> $spare_codes  hashes
 * @property ?Carbon $disabled_at
 * @property string $cohort  as its trainers call it; empty for none
 * @property ?int $trainer_id  who trains them
 * @property bool $weekly_mail  whether a summary is sent once a week
 * @property ?Carbon $weekly_sent_at
 * @property ?int $goal_min  minutes of practice a day
 * @property ?string $calendar_key  hash
 * @property ?Carbon $notices_seen_at
 * @property Carbon $created_at
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

    /** Sees what trainers see, and changes nothing but their own account. */
    public const VIEWER = 'viewer';

    public const ROLES = [self::TRAINER, self::OPERATOR, self::VIEWER];

    protected $fillable = [
        'school_id', 'name', 'email', 'password', 'role', 'stick_mode', 'wheel_up', 'units', 'theme', 'house', 'training', 'cohort',
        'trainer_id', 'weekly_mail', 'goal_min',
    ];

    protected $hidden = ['password', 'remember_token', 'totp_secret', 'spare_codes', 'calendar_key'];

    protected $attributes = [
        'role' => self::OPERATOR, 'stick_mode' => 2, 'wheel_up' => 'push', 'units' => 'metric', 'theme' => 'light', 'cohort' => '',
        'weekly_mail' => true,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'password' => 'hashed', 'stick_mode' => 'integer', 'totp_secret' => 'encrypted',
        'totp_since' => 'datetime', 'totp_step' => 'integer',
        'spare_codes' => 'array', 'training' => 'array', 'disabled_at' => 'datetime',
        'weekly_mail' => 'boolean', 'weekly_sent_at' => 'datetime', 'goal_min' => 'integer', 'notices_seen_at' => 'datetime',
    ];

    /** @return list<self> operators of the school of whoever is signed in, by name; those who were disabled are left out */
    public static function operators(): array
    {
        return array_values(self::query()->where('role', self::OPERATOR)->where('disabled_at', null)->get()->sortBy('name')->all());
    }

    public function isTrainer(): bool
    {
        return $this->role === self::TRAINER;
    }

    /** Whether the work of the whole school is shown to them. */
    public function seesClass(): bool
    {
        return $this->role !== self::OPERATOR;
    }

    /** How it is practised with them: as the school does, or as a trainer holds for them. */
    public function training(): HouseStyle
    {
        return HouseStyle::read(Fields::of($this->training ?? []), $this->school->training());
    }

    public function hasSecondFactor(): bool
    {
        return $this->totp_since !== null;
    }

    /** Whether their school wants a second factor of them that they don't have yet. */
    public function lacksSecondFactor(): bool
    {
        return $this->school->second_factor && ! $this->hasSecondFactor();
    }

    /** The house of thought about settings that is followed: their own where a trainer chose one, else the school's. */
    public function housed(): House
    {
        return House::from($this->house ?? $this->school->house_style['house'] ?? School::HOUSE_STYLE['house']);
    }
}
