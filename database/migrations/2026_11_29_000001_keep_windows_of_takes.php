<?php

declare(strict_types=1);

use App\Models\FlightLog;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/**
 * Logs lie under their own endings. A take keeps the stretch of log that it was judged in: a later way of cutting logs must not show
 * another pass under its score.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->float('cut_from_s')->nullable()->after('to_s');
            $table->float('cut_to_s')->nullable()->after('cut_from_s');
        });
        // Logs used to lie under the ending of a CSV, whatever they were.
        foreach (DB::table('flight_logs')->get(['sha256', 'file_name']) as $log) {
            $was = FlightLog::pathOf($log->sha256, 'log.csv');
            $is = FlightLog::pathOf($log->sha256, $log->file_name);
            if ($was !== $is && Storage::exists($was)) {
                Storage::move($was, $is);
            }
        }
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropColumn(['cut_from_s', 'cut_to_s']);
        });
    }
};
