<?php

/** Craft beside their rigs, who changed a rig, which house an operator follows, and how much a hand trembled in a take. */

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Larkspur\Rig\Craft;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('crafts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->string('name', 120);
            $table->unsignedInteger('revision')->default(1);
            $table->json('document')->comment('as core/Rig/Craft reads it');
            $table->json('measured')->nullable()->comment('fits of the step tests that its numbers come from, by mode');
            $table->timestamps();
            $table->unique(['school_id', 'name']);
        });
        Schema::table('rigs', static function (Blueprint $table): void {
            $table->foreignId('craft_id')->nullable()->constrained();
            // Null where the school set it up before anyone was named.
            $table->foreignId('author_id')->nullable()->constrained('users');
            $table->index(['craft_id', 'operator_id', 'version']);
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('house', 24)->nullable()->comment('house of thought about settings; the school’s where null');
        });
        Schema::table('takes', static function (Blueprint $table): void {
            $table->float('tremble')->nullable()->comment('of the holding fingers, travel, one standard deviation');
            $table->index(['rig_id', 'flown_at']);
        });
        $this->makeCraft();
    }

    /** Rigs of before get the craft that they imply: its envelope is the first rig's, its sensor one that gives the same view. */
    private function makeCraft(): void
    {
        foreach (DB::table('rigs')->orderBy('id')->get() as $rig) {
            $known = DB::table('crafts')->where('school_id', $rig->school_id)->where('name', $rig->craft)->value('id');
            if ($known === null) {
                $document = json_decode((string) $rig->document, true, flags: JSON_THROW_ON_ERROR);
                $camera = json_decode((string) $rig->camera, true, flags: JSON_THROW_ON_ERROR);
                $half = tan(deg2rad((float) $camera['hfov_deg']) / 2);
                $known = DB::table('crafts')->insertGetId([
                    'school_id' => $rig->school_id, 'name' => $rig->craft, 'created_at' => now(), 'updated_at' => now(),
                    'document' => json_encode([
                        'schema' => Craft::SCHEMA, 'kind' => 'camera', 'mass_kg' => 1,
                        'convention' => $document['modes']['standard']['curves']['turn']['kind'],
                        'camera' => [
                            'sensor_mm' => ['width' => round(16 * $half, 4), 'height' => round(16 * $half / $camera['aspect'], 4)],
                            'focal_mm' => [8], 'frame_rates' => [25], 'resolutions' => [[(int) round(2160 * $camera['aspect']), 2160]],
                            'apertures' => [2.8],
                        ],
                        'stock' => $document,
                    ], JSON_THROW_ON_ERROR),
                ]);
            }
            DB::table('rigs')->where('id', $rig->id)->update(['craft_id' => $known]);
        }
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            // The foreign key needs an index of its own again.
            if (! Schema::hasIndex('takes', 'takes_rig_id_foreign')) {
                $table->index('rig_id', 'takes_rig_id_foreign');
            }
            $table->dropIndex(['rig_id', 'flown_at']);
            $table->dropColumn('tremble');
        });
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('house'));
        Schema::table('rigs', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('author_id');
            $table->dropForeign(['craft_id']);
            $table->dropIndex(['craft_id', 'operator_id', 'version']);
            $table->dropColumn('craft_id');
        });
        Schema::dropIfExists('crafts');
    }
};
