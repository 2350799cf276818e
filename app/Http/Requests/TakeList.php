<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Take;
use App\Models\User;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Larkspur\Move\Catalogue;

/** Which takes are asked for. */
final class TakeList extends FormRequest
{
    /** Mean wind, m/s, from and to before: “3-6”, “6-”. */
    private const WIND = '/^(\d{1,2})-(\d{0,2})$/';

    /** Neither the log nor the plan tells. */
    private const UNKNOWN = 'unknown';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operator' => ['sometimes', 'integer'],
            'shot' => ['sometimes', 'integer'],
            'craft' => ['sometimes', 'integer'],
            'site' => ['sometimes', 'integer'],
            'least' => ['sometimes', 'numeric', 'between:0,100'], 'most' => ['sometimes', 'numeric', 'between:0,100'],
            'move' => ['sometimes', 'in:'.implode(',', Catalogue::ids())],
            'flown' => ['sometimes', 'in:hand,automated,practised'],
            'mode' => ['sometimes', 'in:slow,standard,fast'],
            'direction' => ['sometimes', 'in:clockwise,counterclockwise,left,right'],
            'air' => ['sometimes', 'string', self::isWind(...)],
            'fault' => ['sometimes', 'string', 'regex:/^[a-z-]{1,40}$/'],
            'from' => ['bail', 'sometimes', 'string', 'date_format:Y-m-d'], 'to' => ['bail', 'sometimes', 'string', 'date_format:Y-m-d'],
            'cursor' => ['sometimes', 'nullable', 'string', 'max:300', self::isOurs(...)],
        ];
    }

    /**
     * @param  Builder<Take>  $query
     * @return Builder<Take>
     */
    public function narrow(Builder $query): Builder
    {
        foreach (['shot' => 'shot_id', 'craft' => 'craft_id'] as $field => $column) {
            if ($this->integer($field) > 0) {
                $query->where($column, $this->integer($field));
            }
        }
        foreach (['move', 'mode', 'direction'] as $field) {
            if ($this->filled($field)) {
                $query->where($field, $this->string($field)->toString());
            }
        }
        if ($this->integer('site') > 0) {
            $query->whereIn('shot_id', DB::table('shots')->where('site_id', $this->integer('site'))->select('id'));
        }
        foreach (['least' => '>=', 'most' => '<='] as $field => $than) {
            if ($this->filled($field)) {
                $query->where('score', $than, $this->float($field));
            }
        }
        match ($this->string('flown')->toString()) {
            'hand' => $query->where('automated', false)->where('practised', false),
            'automated' => $query->where('automated', true),
            'practised' => $query->where('practised', true),
            default => $query,
        };
        $air = $this->string('air')->toString();
        if ($air === self::UNKNOWN) {
            $query->where('wind_mps', null);
        } elseif (preg_match(self::WIND, $air, $wind) === 1) {
            $query->where('wind_mps', '>=', (float) $wind[1]);
            if ($wind[2] !== '') {
                $query->where('wind_mps', '<', (float) $wind[2]);
            }
        }
        if ($this->filled('fault')) {
            $query->whereRaw('find_in_set(?, faults)', [$this->string('fault')->toString()]);
        }
        if ($this->filled('from')) {
            $query->where('flown_at', '>=', $this->midnight($this->string('from')->toString()));
        }
        if ($this->filled('to')) {
            $query->where('flown_at', '<', $this->midnight($this->string('to')->toString(), 1));
        }

        return $query;
    }

    /** When a day begins, or so many days later, on the clock of the school. */
    private function midnight(string $date, int $later = 0): Carbon
    {
        $user = $this->user();

        return Carbon::parse($date, $user instanceof User ? $user->school->zone : 'UTC')->addDays($later)->utc();
    }

    private static function isWind(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value !== self::UNKNOWN && preg_match(self::WIND, is_string($value) ? $value : '') !== 1) {
            $fail('Winds are asked for as 3-6 or 6-, in m/s, or as unknown.');
        }
    }

    /** A cursor is one that a page before gave; what somebody made up leads nowhere. */
    private static function isOurs(string $attribute, mixed $value, Closure $fail): void
    {
        $parts = json_decode((string) base64_decode(strtr(is_string($value) ? $value : '', '-_', '+/'), true), true);
        $flownAt = is_array($parts) ? $parts['flown_at'] ?? null : null;
        $whole = is_array($parts) && is_int($parts['id'] ?? null) && is_bool($parts['_pointsToNextItems'] ?? null);
        if (! $whole || ! is_string($flownAt) || strtotime($flownAt) === false) {
            $fail('This is no place in the list; begin at its first page.');
        }
    }
}
