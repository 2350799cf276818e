<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A school, and the choices it has made where practitioners disagree.
 *
 * @property int $id
 * @property string $name
 * @property array{crop_budget: float, comfort: array{least: float, most: float}, house?: string} $house_style
 */
final class School extends Model
{
    /** @use HasFactory<\Database\Factories\SchoolFactory> */
    use HasFactory;

    /** Where a school has not chosen. Reasons: docs/schools.md. */
    public const HOUSE_STYLE = ['crop_budget' => 0.15, 'comfort' => ['least' => 0.25, 'most' => 0.65], 'house' => 'middle'];

    protected $fillable = ['name', 'house_style'];

    protected $attributes = ['house_style' => '{"crop_budget":0.15,"comfort":{"least":0.25,"most":0.65},"house":"middle"}'];

    /** @var array<string, string> */
    protected $casts = ['house_style' => 'array'];

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
