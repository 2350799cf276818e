<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Intent;
use Larkspur\Move\Parameter;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\Finger;
use Larkspur\Rig\Rig;
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
        return self::document(Shot::SCHEMA, 'Everything that is needed to plan a shot and to fly it.', ['intent', 'rig', 'site'], [
            'intent' => self::intentBody(),
            'rig' => self::rig(),
            'mode' => ['enum' => Rig::MODES, 'default' => 'standard'],
            'site' => self::site(),
            'wind' => self::group(['mean_mps'], ['mean_mps' => self::number(0, 40), 'from_deg' => self::number(-360, 360), 'gust_mps' => self::number(0, 60), 'kind' => ['enum' => Wind::KINDS, 'default' => 'open']]),
            'operator' => self::group([], ['stick_mode' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 4, 'default' => 2], 'wheel_up' => ['enum' => ['push', 'pull'], 'default' => 'push']]),
            'comfort' => self::group(['least', 'most'], ['least' => self::number(0, 1), 'most' => self::number(0, 1)]),
        ]);
    }

    /** @return Schema */
    public static function intent(): array
    {
        $body = self::intentBody();

        return self::document(Intent::SCHEMA, 'What a take was meant to be. What is left out is fitted from the log.', ['move'], $body['properties']);
    }

    /** @return array{type: string, required: list<string>, properties: array<string, mixed>} */
    private static function intentBody(): array
    {
        $described = static fn (Parameter $parameter): array => $parameter->choices === [] ? self::number($parameter->least, $parameter->most) : ['enum' => $parameter->choices];
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

        return self::group(['move'], [
            'schema' => ['const' => Intent::SCHEMA],
            'move' => ['enum' => Catalogue::ids()],
            'subject' => self::point(['base_alt_m' => self::number(-500, 9000)]),
            'aim' => self::group([], ['x' => self::number(0, 1), 'y' => self::number(0, 1)]),
            'camera' => self::group(['hfov_deg'], ['hfov_deg' => self::number(2, 160), 'aspect' => self::number(0.3, 4)]),
            'home' => self::point(),
            'parameters' => self::group([], $parameters),
            'join' => ['enum' => [Combination::SEQUENCE, Combination::TOGETHER], 'default' => Combination::SEQUENCE],
            'parts' => ['type' => 'array', 'minItems' => 2, 'maxItems' => 3, 'items' => self::group(['move'], ['move' => ['enum' => Catalogue::ids()], 'parameters' => self::group([], $parameters)])],
        ]);
    }

    /** @return Schema */
    private static function rig(): array
    {
        $curves = array_fill_keys(array_column(Finger::cases(), 'value'), self::group(['kind'], [
            'kind' => ['enum' => array_keys(CurveKinds::MEANINGS)], 'value' => ['type' => 'number'], 'centre' => ['type' => 'number'], 'end' => ['type' => 'number'],
        ]));
        $mode = self::whole([
            'run_mps' => self::number(0.1, 60), 'slide_mps' => self::number(0.1, 60), 'climb_mps' => self::number(0.1, 30), 'sink_mps' => self::number(0.1, 30),
            'turn_dps' => self::number(1, 1000), 'accelerate_mps2' => self::number(0.1, 50), 'brake_mps2' => self::number(0.1, 50),
            'climb_accelerate_mps2' => self::number(0.1, 50), 'turn_accelerate_dps2' => self::number(1, 5000),
            'lag_s' => self::whole(['travel' => self::number(0, 5), 'climb' => self::number(0, 5), 'turn' => self::number(0, 5)]),
            'gimbal' => self::whole(['top_rate_dps' => self::number(0.5, 500), 'cushion_s' => self::number(0, 5)]),
            'curves' => self::whole($curves),
        ]);

        return self::whole([
            'craft' => ['type' => 'string'], 'width_m' => self::number(0.02, 5), 'wind_limit_mps' => self::number(0.5, 40), 'gust_coupling' => self::number(0, 1),
            'tilt_range_deg' => self::whole(['low' => self::number(-120, 0), 'high' => self::number(0, 90)]),
            'battery_min' => self::number(1, 120), 'modes' => self::whole(array_fill_keys(Rig::MODES, $mode)),
        ]);
    }

    /** @return Schema */
    private static function site(): array
    {
        $solid = self::group(['east_m', 'north_m', 'width_m', 'height_m'], [
            'id' => ['type' => 'string'], 'name' => ['type' => 'string'], 'role' => ['enum' => ['subject', 'obstacle']], 'shape' => ['enum' => ['box', 'cylinder']],
            'east_m' => self::number(-20000, 20000), 'north_m' => self::number(-20000, 20000), 'base_m' => self::number(-500, 9000),
            'width_m' => self::number(0.01, 2000), 'length_m' => self::number(0.01, 2000), 'height_m' => self::number(0.01, 1000), 'heading_deg' => self::number(-360, 360),
        ]);

        return self::group(['home'], [
            'name' => ['type' => 'string'], 'home' => self::point(), 'ceiling_m' => self::number(1, 5000), 'sight_line_m' => self::number(10, 5000),
            'solids' => ['type' => 'array', 'items' => $solid],
        ]);
    }

    /**
     * @param  Schema  $more
     * @return Schema
     */
    private static function point(array $more = []): array
    {
        return self::group(['lat', 'lon'], ['lat' => self::number(-89.9, 89.9), 'lon' => self::number(-180, 180), 'alt_m' => self::number(-500, 9000), ...$more]);
    }

    /**
     * @param  list<string>  $required
     * @param  Schema  $properties
     * @return Schema
     */
    private static function document(string $schema, string $description, array $required, array $properties): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => $schema, 'description' => $description,
            ...self::group($required, ['schema' => ['const' => $schema], ...$properties]),
        ];
    }

    /**
     * A group in which every property has to be there.
     *
     * @param  Schema  $properties
     * @return Schema
     */
    private static function whole(array $properties): array
    {
        return self::group(array_keys($properties), $properties);
    }

    /**
     * @param  list<string>  $required
     * @param  Schema  $properties
     * @return array{type: string, required: list<string>, properties: Schema}
     */
    private static function group(array $required, array $properties): array
    {
        return ['type' => 'object', 'required' => $required, 'properties' => $properties];
    }

    /** @return Schema */
    private static function number(float $least, float $most): array
    {
        return ['type' => 'number', 'minimum' => $least, 'maximum' => $most];
    }
}
