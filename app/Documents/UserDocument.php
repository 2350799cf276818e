<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\User;
use Documents\Band;
use Documents\Document;

/** Whoever is signed in, and what they and their school chose. */
final readonly class UserDocument implements Document
{
    /**
     * @param  'trainer'|'operator'|'viewer'  $role
     * @param  string  $house  of thought about settings, that is followed
     * @param  'metric'|'feet'  $units
     * @param  'light'|'dark'|'field'  $theme
     * @param  bool  $demo  whether it is the demo school
     * @param  bool  $secondFactorDue  whether the school wants a second factor that is not set up yet
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $email,
        public string $role,
        public string $school,
        public float $cropBudget,
        public Band $comfort,
        public string $house,
        public string $schoolHouse,
        public int $stickMode,
        public string $wheelUp,
        public string $units,
        public string $theme,
        public bool $demo,
        public bool $secondFactorDue,
    ) {
    }

    public static function of(User $user): self
    {
        $style = $user->school->house_style;

        return new self(
            $user->id, $user->name, $user->email, $user->role, $user->school->name, $style['crop_budget'],
            new Band($style['comfort']['least'], $style['comfort']['most']), $user->housed()->value, $style['house'] ?? 'middle',
            $user->stick_mode, $user->wheel_up, $user->units, $user->theme, $user->school->demo,
            $user->lacksSecondFactor(),
        );
    }
}
