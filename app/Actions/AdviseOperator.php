<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Take;
use App\Models\User;
use Carbon\CarbonInterface;
use Larkspur\Training\PastTake;
use Larkspur\Training\PracticeAdvice;
use Larkspur\Training\PracticeAdvisor;

/** What an operator should practise next, by core/Training, from their own record. */
final readonly class AdviseOperator
{
    /** Takes looked at; older ones say little about today's hand. */
    private const LOOK_BACK = 60;

    public function __invoke(User $operator, CarbonInterface $now): PracticeAdvice
    {
        // What automation flew says nothing about the hands.
        $takes = Take::query()->with('judgement')->where('operator_id', $operator->id)->where('automated', false)
            ->orderByDesc('flown_at')->orderByDesc('id')->limit(self::LOOK_BACK)
            ->get()->reverse()->values();
        $last = $takes->last();
        $parameters = $last?->judgement->intent['parameters'] ?? [];
        $radius = is_array($parameters) && is_numeric($parameters['radius_m'] ?? null) ? (float) $parameters['radius_m'] : null;
        $past = [];
        foreach ($takes as $take) {
            $past[] = new PastTake(
                $take->flown_at->getTimestamp() / 86400, $take->move, $take->direction, $take->score, $take->verdict,
                ['ease' => $take->ease, 'flow' => $take->flow, 'hold' => $take->hold, 'line' => $take->line, 'frame' => $take->frame],
            );
        }

        return PracticeAdvisor::next($past, $now->getTimestamp() / 86400, $radius);
    }
}
