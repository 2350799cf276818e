<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A kept refusal of a KML log names its numbers as the phrase book does now. */
return new class extends Migration
{
    private const CODE = '%kml-reader.track-times-places%';

    public function up(): void
    {
        $this->rename('"count2"', '"places"');
        $this->rename('"count"', '"times"');
    }

    public function down(): void
    {
        $this->rename('"places"', '"count2"');
        $this->rename('"times"', '"count"');
    }

    private function rename(string $from, string $to): void
    {
        DB::update('update imports set outcome = replace(outcome, ?, ?) where outcome like ?', [$from, $to, self::CODE]);
    }
};
