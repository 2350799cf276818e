<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Ladder;
use Documents\Document;
use Documents\Map;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Training\Ladder\Ladder as Steps;
use Larkspur\Training\Ladder\Step;
use Larkspur\Training\Ladder\Templates;

/** The ladder of a school as it is edited, with its versions and the orders to begin with. */
final readonly class SchoolLadder implements Document
{
    /**
     * @param  int  $version  0 while it is the one that comes with the application
     * @param  array<string, mixed>  $document
     * @param  Map<Fact>  $names  of its steps, by id
     * @param  list<LadderVersion>  $versions  the latest first
     * @param  list<string>  $orders  of the ladders to begin with
     */
    public function __construct(
        public int $version, #[Shape('LadderSheet')] public array $document, public Map $names, public array $versions,
        public array $orders,
    ) {
    }

    public static function of(int $school): self
    {
        $query = Ladder::query()->with('author')->where('school_id', $school);
        $query->orderByDesc('version')->limit(30);
        $versions = $query->get();
        $latest = $versions->first();
        $steps = $latest?->steps() ?? Ladder::ordinary();

        return new self(
            $latest->version ?? 0, $steps->toArray(), self::names($steps),
            array_values($versions->map(static fn (Ladder $one): LadderVersion => LadderVersion::of($one))->all()), Templates::ALL,
        );
    }

    public static function ofOrder(Steps $steps): self
    {
        return new self(0, $steps->toArray(), self::names($steps), [], Templates::ALL);
    }

    /** @return Map<Fact> */
    private static function names(Steps $steps): Map
    {
        return new Map(array_map(static fn (Step $step): Fact => $step->name(), $steps->steps));
    }
}
