<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Parameter;

/**
 * Crafts count versions like all else. Words that a move does not have used to be taken in and kept, and a few moves had dials that did
 * nothing: such words leave the kept shots.
 */
return new class extends Migration
{
    public function up(): void
    {
        // Whatever several people may work on counts its versions under one name.
        Schema::table('crafts', static fn (Blueprint $table) => $table->renameColumn('revision', 'version'));
        foreach (['shots', 'scores'] as $table) {
            foreach (DB::table($table)->get(['id', 'intent']) as $row) {
                $intent = json_decode((string) $row->intent, true);
                $own = is_array($intent) ? self::own($intent) : $intent;
                if ($own !== $intent) {
                    DB::table($table)->where('id', $row->id)->update(['intent' => json_encode($own)]);
                }
            }
        }
    }

    /**
     * An intent, or a part of one, without parameters that its move does not have.
     *
     * @param  array<string, mixed>  $intent
     * @return array<string, mixed>
     */
    private static function own(array $intent): array
    {
        $move = is_string($intent['move'] ?? null) && in_array($intent['move'], Catalogue::ids(), true)
            ? Catalogue::move($intent['move'])
            : null;
        if ($move !== null && is_array($intent['parameters'] ?? null)) {
            $intent['parameters'] = array_intersect_key($intent['parameters'], array_flip(Parameter::names($move->parameters())));
        }
        if (is_array($intent['parts'] ?? null)) {
            $intent['parts'] = array_map(static fn (mixed $part): mixed => is_array($part) ? self::own($part) : $part, $intent['parts']);
        }

        return $intent;
    }

    public function down(): void
    {
        // Words that never meant anything do not come back.
        Schema::table('crafts', static fn (Blueprint $table) => $table->renameColumn('version', 'revision'));
    }
};
