<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Take;

/** The height hops up and down at the pace of a nervous thumb. */
final readonly class Bobbing extends NamedFault
{
    /** Bobbing over three seconds that is worth a word, m/s. */
    private const BOB = 0.13;

    public function id(): string
    {
        return 'bobbing';
    }

    public function spoils(Fault $fault): array
    {
        return ['smooth'];
    }

    public function find(Measurements $take): array
    {
        [$at, $bob] = self::worst($take->take);
        $bob = sqrt(max(0.0, $bob ** 2 - $take->asked->bob ** 2));
        if ($bob <= self::BOB) {
            return [];
        }
        [$from, $to] = Runs::window($take->take->main->holdFrom, $at, $take->take->grid->count() - 1);

        return [Fault::lasting($this, 'climb', $take->take, $from, $to)->measured(
            Quantity::metresPerSecond($bob), $bob / self::BOB, Fact::of('picture.foreground-hops'),
        )];
    }

    /** @return array{int, float} where the worst three seconds of the hold begin, nodes, and their bobbing less noise, m/s */
    public static function worst(Take $take): array
    {
        $grid = $take->grid;
        $squares = $noise = [];
        for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
            $squares[] = ($grid->bob[$i] - $grid->z->slow[$i]) ** 2;
            if ($grid->valid[$i]) {
                $noise[] = ($grid->z->sigma * $grid->gBob[$i]) ** 2;
            }
        }
        [$at, $worst] = Runs::worst($squares);
        $own = Statistics::mean($noise);
        // Where noise alone bobs as much as a hand would, the worst of many stretches of it looks worse than its mean.
        $doubt = 1.8 + 0.7 * min(1.0, $own / self::BOB ** 2);

        return [$at, sqrt(max(0.0, $worst - $doubt * $own))];
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip('bounce', Finger::Climb, $staging->middle() - 2.0, 0.5, 4.0));
    }
}
