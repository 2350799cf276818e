<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Judgements that were kept before plans were judged bore the name that the method has now: they are told apart as 1.1. Nothing else of
 * them changes.
 */
return new class extends Migration
{
    public function up(): void
    {
        $this->rename('larkspur/score/2', 'larkspur/score/1.1');
    }

    public function down(): void
    {
        $this->rename('larkspur/score/1.1', 'larkspur/score/2');
    }

    private function rename(string $from, string $to): void
    {
        DB::update('update scores set document = json_set(document, ?, ?), method = ? where method = ?', ['$.method', $to, $to, $from]);
    }
};
