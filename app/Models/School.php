<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Larkspur\Fields;
use Larkspur\FlightDay\Gates;
use Larkspur\Scoring\JudgingStyle;
use Larkspur\Site\Zone;
use Larkspur\Training\HouseStyle;

/**
 * A school, and the choices it has made where practitioners disagree.
 *
 * @property int $id
 * @property string $name
 * @property string $zone  of its clock
 * @property 'metric'|'feet' $units  of whoever comes to it
 * @property bool $second_factor  whether everyone of it needs one
 * @property bool $demo
 * @property array{
 *     crop_budget: float, comfort: array{least: float, most: float}, house?: string, tolerances?: array<string, float>,
 *     training?: array<string, mixed>, gates?: list<string>,
 * } $house_style
 */
final class School extends Model
{
    /** @use HasFactory<\Database\Factories\SchoolFactory> */
    use HasFactory;

    /** Where a school has not chosen. Reasons: docs/schools.md. */
    public const HOUSE_STYLE = ['crop_budget' => 0.15, 'comfort' => ['least' => 0.25, 'most' => 0.65], 'house' => 'middle'];

    protected $fillable = ['name', 'house_style', 'zone', 'units', 'second_factor', 'demo'];

    protected $attributes = ['house_style' => '{"crop_budget":0.15,"comfort":{"least":0.25,"most":0.65},"house":"middle"}'];

    /** @var array<string, string> */
    protected $casts = ['house_style' => 'array', 'second_factor' => 'boolean', 'demo' => 'boolean'];

    /** By what its takes are judged, where schools disagree. */
    public function judging(): JudgingStyle
    {
        return JudgingStyle::read(Fields::of([
            'crop_budget_percent' => 100 * $this->house_style['crop_budget'], 'tolerances' => $this->house_style['tolerances'] ?? [],
        ]));
    }

    public function clock(): Zone
    {
        return new Zone($this->zone);
    }

    /** How it is practised, where schools disagree. */
    public function training(): HouseStyle
    {
        return HouseStyle::read(Fields::of($this->house_style['training'] ?? []));
    }

    /** @return list<string> gates without which none of its days counts as ready; the others warn */
    public function gatesThatBind(): array
    {
        return array_values(array_intersect(Gates::IDS, $this->house_style['gates'] ?? Gates::BINDING));
    }

    public function judge(JudgingStyle $style): void
    {
        $this->update(['house_style' => [
            ...$this->house_style, 'crop_budget' => $style->cropBudget, 'tolerances' => $style->tolerances->toArray(),
        ]]);
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
