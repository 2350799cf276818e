<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How the places and heights of one maker's logs are meant, as somebody of the school said it once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('remembered_readings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->string('maker', 80)->comment('kind of file and how its columns are read: what tells one maker from another');
            $table->string('reading', 20);
            $table->string('file_name')->comment('the log over which it was said');
            $table->timestamps();
            $table->unique(['school_id', 'maker']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('remembered_readings');
    }
};
