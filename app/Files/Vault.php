<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\FlightLog;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

/**
 * Where files are kept. What is written is read back and compared before anybody is told that it is there; it comes to its place whole, by
 * a new name, or not at all.
 */
final readonly class Vault
{
    /** Lies there while bin/backup copies: nothing is taken away that its copy of the database still names. */
    public const HOLD = 'backup-under-way';

    public function __construct(private FreeSpace $space)
    {
    }

    /**
     * Keeps a stream, from its start.
     *
     * @param  resource  $stream  can be rewound
     * @return string its SHA-256
     *
     * @throws NoRoom where it does not fit; nothing is left of it then
     */
    public function keep(string $path, $stream): string
    {
        $size = fstat($stream)['size'] ?? 0;
        $this->space->ensure($size);
        rewind($stream);
        $wanted = self::hash($stream);
        rewind($stream);
        $disk = $this->disk();
        $part = $path.'.part';
        try {
            $written = $disk->writeStream($part, $stream);
            $found = $written === false ? '' : $this->hashOf($part);
            if ($found !== $wanted) {
                throw new NoRoom("$path was not written whole");
            }
            $this->settle($part);
            if (! $disk->move($part, $path)) {
                throw new NoRoom("$path can’t be put in its place");
            }
        } catch (NoRoom $error) {
            $disk->delete($part);
            throw $error;
        }

        return $wanted;
    }

    /**
     * A kept log, open for reading.
     *
     * @return resource
     *
     * @throws BytesGone
     */
    public function open(FlightLog $log)
    {
        $disk = $this->disk();
        $left = $disk->exists($log->path()) ? $disk->size($log->path()) : null;
        $stream = $left === $log->bytes ? $disk->readStream($log->path()) : null;

        return $stream ?? throw BytesGone::of($log->file_name, $left, $log->bytes);
    }

    /** Takes a file away; while a backup is made it stays, and goes at the next check of the files. */
    public function drop(string $path): void
    {
        $disk = $this->disk();
        if (! $disk->exists(self::HOLD)) {
            $disk->delete($path);
        }
    }

    /** Whether files lie on a disk of this machine. */
    public static function isLocal(): bool
    {
        return config('filesystems.disks.'.config()->string('filesystems.default').'.driver') === 'local';
    }

    /** SHA-256 of what lies there; empty where nothing does. */
    public function hashOf(string $path): string
    {
        $stream = $this->disk()->readStream($path);
        if ($stream === null) {
            return '';
        }
        try {
            return self::hash($stream);
        } finally {
            fclose($stream);
        }
    }

    /** @param  resource  $stream */
    private static function hash($stream): string
    {
        $hash = hash_init('sha256');
        hash_update_stream($hash, $stream);

        return hash_final($hash);
    }

    /** On a disk of this machine: that the bytes are on it, and not only on their way. */
    private function settle(string $path): void
    {
        if (! self::isLocal()) {
            return;
        }
        $file = fopen($this->disk()->path($path), 'r+b');
        if ($file === false || ! fsync($file)) {
            throw new RuntimeException("$path can’t be written through");
        }
        fclose($file);
    }

    private function disk(): Filesystem
    {
        return Storage::disk();
    }
}
