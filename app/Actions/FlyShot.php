<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog as LogRecord;
use App\Models\Import;
use App\Models\Shot;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Larkspur\Choreography\Planner;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Site\Wind;

/**
 * Has a simulated operator fly a shot. What comes of it is a log like any other: it is written, imported, cut and
 * judged by the same actions as a user's own.
 */
final readonly class FlyShot
{
    public function __construct(private SendFlight $send)
    {
    }

    /** @return Import done, with its takes in the outcome */
    public function __invoke(
        Shot $shot, OperatorHabits $habits, string $name, Wind $wind, int $seed, User $owner, ?Carbon $flownAt = null,
        bool $positioning = true, bool $automated = false,
    ): Import {
        $planned = $shot->planned();
        $plan = Planner::plan($planned);
        $flight = SimulatedOperator::fly($plan, $habits, $wind, $seed, $positioning && $plan->move->intent->move !== 'no-positioning');
        $extra = [];
        if ($wind->mean > 0) {
            $extra['wind_mps'] = array_fill(0, $flight->count(), round($wind->meanAt($flight->up[0] - $plan->move->ground), 2));
        }
        if ($automated) {
            $extra['automated'] = array_fill(0, $flight->count(), 1.0);
        }
        $log = Recorder::fair()->record($flight, $planned->site->frame(), $seed, $shot->mode, $extra, $plan->move->subject);

        return ($this->send)($log, [
            'school_id' => $shot->school_id, 'owner_id' => $owner->id, 'shot_id' => $shot->id,
            'file_name' => Str::slug($shot->title).'-'.$name.'-'.$seed.'.csv', 'flown_at' => $flownAt ?? Carbon::now(),
            'source' => LogRecord::SIMULATED,
        ]);
    }
}
