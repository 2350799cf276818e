<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Actions\SavedFirst;
use Illuminate\Support\Facades\DB;

/**
 * A record that several people may work on at once: it counts its versions, and is saved only over the version that was seen.
 *
 * @property int $version
 */
trait Versioned
{
    /**
     * Saves what was worked on as the next version, one saver at a time.
     *
     * @param  int  $seen  the version that was worked on
     * @param  array<string, mixed>  $attributes
     *
     * @throws SavedFirst where another version came between; nothing is changed then
     */
    public function saveOver(int $seen, array $attributes): self
    {
        return DB::transaction(function () use ($seen, $attributes): self {
            $query = static::query()->whereKey($this->getKey());
            $query->lockForUpdate();
            $latest = $query->firstOrFail();
            if ($latest->version !== $seen) {
                throw new SavedFirst($latest);
            }
            $latest->fill([...$attributes, 'version' => $seen + 1])->save();

            return $latest;
        });
    }
}
