<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\JsonSchema;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Intent;
use Larkspur\Move\Parameter;
use Larkspur\Rig\Rig;
use Larkspur\Rig\RigSchema;
use Larkspur\Site\Area;
use Larkspur\Site\Solid;
use Larkspur\Site\Wind;

/**
 * The published schemas of the intent file and the shot file, as JSON Schema (draft 2020-12), for other programs.
 * The readers themselves (Shot::read, Intent::read) say more clearly what is wrong; a test holds the two together.
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class ShotSchema
{
    /** @return Schema */
    public static function shot(): array
    {
        return JsonSchema::document(Shot::SCHEMA, 'Everything that is needed to plan a shot and to fly it.', ['intent', 'rig', 'site'], [
            'intent' => self::intentBody(),
            'rig' => RigSchema::rig(),
            'mode' => ['enum' => Rig::MODES, 'default' => 'standard'],
            'site' => self::site(),
            'wind' => JsonSchema::group(
                ['mean_mps'],
                [
                    'mean_mps' => JsonSchema::number(0, 40), 'from_deg' => JsonSchema::number(-360, 360),
                    'gust_mps' => JsonSchema::number(0, 60), 'kind' => ['enum' => Wind::KINDS, 'default' => 'open'],
                ],
            ),
            'operator' => JsonSchema::group(
                [],
                [
                    'stick_mode' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 4, 'default' => 2],
                    'wheel_up' => ['enum' => ['push', 'pull'], 'default' => 'push'],
                ],
            ),
            'layers' => JsonSchema::group([], ['near' => ['type' => 'string'], 'far' => ['type' => 'string']]),
            'comfort' => JsonSchema::group(['least', 'most'], ['least' => JsonSchema::number(0, 1), 'most' => JsonSchema::number(0, 1)]),
        ]);
    }

    /** @return Schema */
    public static function intent(): array
    {
        $body = self::intentBody();

        return JsonSchema::document(Intent::SCHEMA, 'What a take was meant to be. What is left out is fitted from the log.', ['move'], $body['properties']);
    }

    /** @return array{type: string, required: list<string>, properties: array<string, mixed>} */
    private static function intentBody(): array
    {
        $described = static fn (Parameter $parameter): array => $parameter->choices === [] ? JsonSchema::number(
            $parameter->least, $parameter->most,
        ) : ['enum' => $parameter->choices];
        $parameters = [];
        foreach (Catalogue::ids() as $id) {
            foreach (Catalogue::move($id)->parameters() as $parameter) {
                $parameters[$parameter->id] ??= $described($parameter);
            }
        }
        // What several moves share is as wide as the vocabulary has it; a reader of one move may be stricter.
        foreach (Parameter::vocabulary() as $parameter) {
            $parameters[$parameter->id] = $described($parameter);
        }

        return JsonSchema::group(['move'], [
            'schema' => ['const' => Intent::SCHEMA],
            'move' => ['enum' => Catalogue::ids()],
            'subject' => self::point(['base_alt_m' => JsonSchema::number(-500, 9000)]),
            'aim' => JsonSchema::group([], ['x' => JsonSchema::number(0, 1), 'y' => JsonSchema::number(0, 1)]),
            'camera' => JsonSchema::group(['hfov_deg'], ['hfov_deg' => JsonSchema::number(2, 160), 'aspect' => JsonSchema::number(0.3, 4)]),
            'home' => self::point(),
            'parameters' => JsonSchema::group([], $parameters),
            'join' => ['enum' => [Combination::SEQUENCE, Combination::TOGETHER], 'default' => Combination::SEQUENCE],
            'parts' => [
                'type' => 'array', 'minItems' => 2, 'maxItems' => 3,
                'items' => JsonSchema::group(
                    ['move'], ['move' => ['enum' => Catalogue::ids()], 'parameters' => JsonSchema::group([], $parameters)],
                ),
            ],
        ]);
    }

    /** @return Schema */
    private static function site(): array
    {
        $pair = ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 2];
        $points = ['type' => 'array', 'items' => $pair, 'minItems' => 2, 'maxItems' => Solid::MOST_POINTS];
        $at = ['east_m' => JsonSchema::number(-20000, 20000), 'north_m' => JsonSchema::number(-20000, 20000)];
        $solid = JsonSchema::group(['height_m'], [
            'id' => ['type' => 'string'], 'name' => ['type' => 'string'], 'role' => ['enum' => ['subject', 'obstacle']],
            'shape' => ['enum' => Solid::SHAPES, 'default' => 'box'],
            ...$at, 'base_m' => JsonSchema::number(-500, 9000),
            'width_m' => JsonSchema::number(0.01, 2000), 'length_m' => JsonSchema::number(0.01, 2000),
            'height_m' => JsonSchema::number(0.01, 1000), 'heading_deg' => JsonSchema::number(-360, 360),
            'points' => $points, 'clear_m' => JsonSchema::number(0.01, 950), 'sag_m' => JsonSchema::number(0, 100),
            'moves' => ['type' => 'boolean'],
        ]);
        $area = JsonSchema::group(
            ['points'],
            [
                'id' => ['type' => 'string'], 'name' => ['type' => 'string'], 'kind' => ['enum' => Area::KINDS], 'points' => $points,
                'closed' => ['type' => 'boolean'],
            ],
        );
        $ground = JsonSchema::group([], [
            'spots' => [
                'type' => 'array',
                'items' => JsonSchema::group(['east_m', 'north_m', 'up_m'], [...$at, 'up_m' => JsonSchema::number(-2000, 2000)]),
            ],
            'profile' => ['type' => 'array', 'items' => $pair, 'minItems' => 2], 'bearing_deg' => JsonSchema::number(-360, 360),
            'simulated' => ['type' => 'boolean'],
        ]);

        return JsonSchema::group(['home'], [
            'name' => ['type' => 'string'], 'home' => self::point(), 'ceiling_m' => JsonSchema::number(1, 5000),
            'sight_line_m' => JsonSchema::number(10, 5000),
            'people_m' => JsonSchema::number(0, 1000), 'variation_deg' => JsonSchema::number(-180, 180), 'zone' => ['type' => 'string'],
            'solids' => ['type' => 'array', 'items' => $solid], 'ground' => $ground, 'areas' => ['type' => 'array', 'items' => $area],
            'observers' => [
                'type' => 'array',
                'items' => JsonSchema::group(['east_m', 'north_m'], ['id' => ['type' => 'string'], 'name' => ['type' => 'string'], ...$at]),
            ],
        ]);
    }

    /**
     * @param  Schema  $more
     * @return Schema
     */
    private static function point(array $more = []): array
    {
        return JsonSchema::group(
            ['lat', 'lon'],
            [
                'lat' => JsonSchema::number(-89.9, 89.9), 'lon' => JsonSchema::number(-180, 180), 'alt_m' => JsonSchema::number(-500, 9000),
                ...$more,
            ],
        );
    }
}
