<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\GroupDocument;
use App\Documents\GroupFault;
use App\Documents\GroupPair;
use App\Documents\GroupRow;
use App\Documents\GroupStep;
use App\Models\User;
use App\Progress\ClimbLadder;
use App\Progress\OperatorRecord;
use Documents\Map;
use Documents\Person;
use Documents\Progress\StandingDocument;
use Larkspur\Fact;
use Larkspur\Training\Group\GroupPicture;
use Larkspur\Training\Group\Member;
use Larkspur\Training\Ladder\Ladder;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\Standing\Measure;

/** The class of a school at a glance, by core/Training. */
final readonly class DrawClass
{
    /**
     * @param  list<User>  $operators
     * @param  list<string>  $cohorts  that the school has
     */
    public function __invoke(array $operators, array $cohorts): GroupDocument
    {
        $members = OperatorRecord::each($operators);
        $person = static fn (Member $member): Person => new Person($member->id, $member->name);
        $names = [];
        foreach ($members as $member) {
            $names[$member->id] = $person($member);
        }

        return new GroupDocument(
            array_map(static fn (array $row): GroupRow => self::row($row['member'], $row['need'], $row['why']), GroupPicture::byNeed(
                $members, now()->getTimestamp() / 86400,
            )),
            self::steps($members, $operators === [] ? null : ClimbLadder::ofSchool($operators[0]->school_id)->steps),
            array_map(static fn (array $one): GroupFault => new GroupFault(
                $one['fault'], Fact::of("fault.$one[fault]"), Fact::of("fault.$one[fault].try"),
                array_map(static fn (int $id): Person => $names[$id], $one['who']),
            ), GroupPicture::common($members)),
            array_map(static fn (array $pair): GroupPair => new GroupPair(
                $person($pair['shows']), $person($pair['learns']), Measure::named($pair['measure']),
            ), GroupPicture::pairs($members)),
            $cohorts,
        );
    }

    /** @param  list<Fact>  $why */
    private static function row(Member $member, float $need, array $why): GroupRow
    {
        $standings = [];
        foreach ($member->standings as $measure => $standing) {
            $standings[$measure] = StandingDocument::of($measure, Measure::named($measure), $standing, false);
        }
        $last = $member->lastDay();

        return new GroupRow(
            new Person($member->id, $member->name), round($need, 1), $why,
            $last === null ? null : gmdate('Y-m-d\TH:i:s\Z', (int) round(86400 * $last)), $member->passed(),
            new Map($standings),
            new Map(array_map(static fn (StepState $one): string => $one->value, $member->states)),
        );
    }

    /**
     * @param  list<Member>  $members
     * @return list<GroupStep>
     */
    private static function steps(array $members, ?Ladder $ladder): array
    {
        $steps = [];
        foreach ($ladder->steps ?? [] as $id => $step) {
            $passed = count(array_filter($members, static fn (Member $member): bool => $member->states[$id]->isPassed()));
            $steps[] = new GroupStep($id, $step->name(), $ladder->ranks[$id] ?? 0, $passed);
        }

        return $steps;
    }
}
