<?php

declare(strict_types=1);

namespace App\Files;

use Illuminate\Support\Facades\Storage;

/** How much room is left where files and database lie. */
class FreeSpace
{
    /** Bytes that can still be written; null where the disk doesn't tell, as an object store. */
    public function bytes(): ?int
    {
        if (! Vault::isLocal()) {
            return null;
        }
        $free = @disk_free_space(Storage::path(''));

        return $free === false ? null : (int) $free;
    }

    /**
     * That $bytes more can be kept, and the reserve stays free for the database.
     *
     * @throws NoRoom
     */
    public function ensure(int $bytes = 0): void
    {
        $free = $this->bytes();
        if ($free !== null && $free < $bytes + config()->integer('larkspur.reserve')) {
            throw new NoRoom(sprintf('%d bytes free, %d wanted beside the reserve', $free, $bytes));
        }
    }
}
