<?php

declare(strict_types=1);

use App\Models\FlightLog;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Parameter;

/** Logs lie under their own endings. A take keeps the stretch of log that it was judged in: a later way of cutting logs must not show another pass under its score. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->float('cut_from_s')->nullable()->after('to_s');
            $table->float('cut_to_s')->nullable()->after('cut_from_s');
        });
        // Words of other moves used to be taken in and kept.
        foreach (['shots', 'scores'] as $table) {
            foreach (DB::table($table)->get(['id', 'intent']) as $row) {
                $intent = json_decode((string) $row->intent, true);
                $own = is_array($intent) ? self::own($intent) : $intent;
                if ($own !== $intent) {
                    DB::table($table)->where('id', $row->id)->update(['intent' => json_encode($own)]);
                }
            }
        }
        // Logs used to lie under the ending of a CSV, whatever they were.
        foreach (DB::table('flight_logs')->get(['sha256', 'file_name']) as $log) {
            $was = FlightLog::pathOf($log->sha256, 'log.csv');
            $is = FlightLog::pathOf($log->sha256, $log->file_name);
            if ($was !== $is && Storage::exists($was)) {
                Storage::move($was, $is);
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
        $move = is_string($intent['move'] ?? null) && in_array($intent['move'], Catalogue::ids(), true) ? Catalogue::move($intent['move']) : null;
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
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropColumn(['cut_from_s', 'cut_to_s']);
        });
    }
};
