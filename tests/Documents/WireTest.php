<?php

declare(strict_types=1);

namespace Tests\Documents;

use Documents\Document;
use Documents\InHands;
use Documents\Light\LightDayDocument;
use Documents\Map;
use Documents\Move\MoveDocument;
use Documents\Plan\ExpectationDocument;
use Documents\Plan\PlanDocument;
use Documents\Reading\ReadingDocument;
use Documents\Score\ScoreDocument;
use Documents\Units;
use Documents\Wire;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Notes\ShotNotes;
use Larkspur\CommandLine\DocumentSchemas;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Scoring\Expectation;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Light;
use Larkspur\Site\Wind;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\MoveDraw;
use Tests\Core\Shots;
use Words\Reader;
use Words\Speaker;

/** What goes over the wire: names, facts said or kept, and every document as its inferred schema promises. */
final class WireTest extends TestCase
{
    private const WIRE = 'https://larkspur.example/wire.json';

    public static function setUpBeforeClass(): void
    {
        require_once dirname(__DIR__, 2).'/bin/support/DocumentSchemas.php';
    }

    public function test_properties_become_names_of_json_and_facts_are_said(): void
    {
        $document = new class(1.5, Fact::of('petal.flow'), new Map([]), ['x' => Fact::of('petal.hold')], null) implements Document
        {
            /**
             * @param  Map<float>  $none
             * @param  array<string, Fact>  $more
             */
            public function __construct(
                public float $holdFromS, public Fact $petal, public Map $none, public array $more, public ?Fact $silent,
            ) {
            }
        };
        self::assertSame('{"hold_from_s":1.5,"petal":"Flow","none":{},"more":{"x":"Hold"},"silent":null}', json_encode(Wire::document($document, new Speaker)));
        self::assertSame('{"say":"petal.flow","with":{}}', json_encode(Wire::document($document, null)['petal']));
    }

    public function test_lists_of_numbers_are_left_as_they_are_and_objects_stay_objects(): void
    {
        self::assertSame([[1.0, 2.0], [3.0, 4.0]], Wire::write([[1.0, 2.0], [3.0, 4.0]], new Speaker));
        self::assertSame(
            '{"a":{"b":"Ease"},"none":{}}',
            json_encode(Wire::write((object) ['a' => (object) ['b' => Fact::of('petal.ease')], 'none' => new \stdClass], new Speaker)),
        );
        self::assertSame([], Wire::write([], new Speaker));
    }

    public function test_a_flight_is_told_of_the_thumbs_of_whoever_flew_it(): void
    {
        $speaker = new Speaker(new Reader(sticks: StickMode::Mode2));
        $cue = Fact::of('fault.bobbing.try');
        $two = Wire::write($cue, $speaker);

        self::assertSame($two, Wire::write(new InHands($cue, StickMode::Mode2), $speaker));
        self::assertNotSame($two, Wire::write(new InHands($cue, StickMode::Mode1), $speaker));
        self::assertSame([$cue], Wire::write(new InHands([$cue], StickMode::Mode1), null));
    }

    /** @return iterable<string, array{Quantity, float, string}> */
    public static function quantities(): iterable
    {
        yield 'an angle' => [Quantity::degrees(12.0), 12.0, 'deg'];
        yield 'a rate' => [Quantity::degreesPerSecond(6.0), 6.0, 'deg/s'];
        yield 'a share' => [Quantity::share(0.11), 11.0, '%'];
        yield 'a length' => [Quantity::metres(2.5), 2.5, 'm'];
        yield 'a speed' => [Quantity::metresPerSecond(3.0), 3.0, 'm/s'];
        yield 'a moment' => [Quantity::moment(12.5), 12.5, 's'];
        yield 'a number' => [Quantity::number(7.0), 7.0, ''];
    }

    #[DataProvider('quantities')]
    public function test_quantities_go_out_in_degrees_and_percent(Quantity $quantity, float $value, string $unit): void
    {
        self::assertEqualsWithDelta($value, Units::value($quantity), 1e-12);
        self::assertSame($unit, Units::name($quantity));
    }

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (Catalogue::ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_a_move_is_written_as_promised(string $id): void
    {
        $written = Wire::document(MoveDocument::of(Catalogue::move($id)), new Speaker);

        self::assertPromised('Move', $written);
        self::assertSame($id, $written['id']);
    }

    #[DataProvider('moves')]
    public function test_a_plan_of_every_move_is_written_as_promised(string $id): void
    {
        if ($id === Combination::ID) {
            $this->expectNotToPerformAssertions();

            return;
        }
        foreach (MoveDraw::feasible($id, 5, 1) as $plan) {
            $written = Wire::document(PlanDocument::of($plan, 25), new Speaker);
            self::assertPromised('Plan', $written);
            self::assertPromised('Expectation', Wire::document(ExpectationDocument::of(Expectation::of($plan)), new Speaker));
            // Fewer samples are the same flight: first and last stay.
            $fine = PlanDocument::of($plan, 5);
            self::assertSame($fine->samples->t[0], $written['samples']['t'][0]);
            self::assertEqualsWithDelta(
                $fine->samples->t[count($fine->samples->t) - 1], $written['samples']['t'][count($written['samples']['t']) - 1], 0.5,
            );
            break;
        }
    }

    public function test_what_is_not_as_promised_is_found(): void
    {
        $written = json_decode((string) json_encode(Wire::document(MoveDocument::of(Catalogue::move('orbit')), new Speaker)));
        self::assertTrue(self::promises()->validate($written, self::WIRE.'#/components/schemas/Move')->isValid());
        unset($written->id);
        self::assertFalse(self::promises()->validate($written, self::WIRE.'#/components/schemas/Move')->isValid());
    }

    public function test_a_score_is_written_as_promised_said_or_kept(): void
    {
        $plan = Shots::plan(['radius_m' => 24.0, 'arc_deg' => 160.0, 'pace_mps' => 2.6]);
        foreach (['steady', 'hurried', 'flicker', 'drifter'] as $hand) {
            $flight = SimulatedOperator::fly($plan, OperatorHabits::named($hand, 2), Wind::still(), 2);
            $document = ScoreDocument::of(Scorer::score((new Recorder)->record($flight, $plan->shot->site->frame()), $plan->move->intent));
            self::assertPromised('Score', Wire::document($document, new Speaker));
            // Kept as facts and said later it is what it would have been at once.
            $kept = json_decode(json_encode(Wire::document($document, null), JSON_THROW_ON_ERROR), true);
            self::assertSame(
                json_decode(json_encode(Wire::document($document, new Speaker), JSON_THROW_ON_ERROR), true),
                (new Speaker)->saidThroughout($kept), $hand,
            );
        }
    }

    public function test_every_document_has_a_schema_and_every_property_is_required(): void
    {
        $schemas = DocumentSchemas::all(['Documents' => dirname(__DIR__, 2).'/documents']);
        self::assertGreaterThan(30, count($schemas));
        foreach ($schemas as $name => $schema) {
            self::assertSame(array_keys($schema['properties']), $schema['required'], $name);
            self::assertNotSame([], $schema['required'], $name);
        }
        self::assertSame(['keep', 'fix', 'again', 'other', 'open'], $schemas['Score']['properties']['verdict']['enum']);
        self::assertSame(['$ref' => '#/components/schemas/Intent'], $schemas['Score']['properties']['intent']);
        self::assertTrue($schemas['Plan']['properties']['subject']['nullable']);
        self::assertSame(
            ['type' => 'object', 'additionalProperties' => ['type' => 'array', 'items' => ['type' => 'number']]],
            array_diff_key($schemas['Plan']['properties']['fingers'], ['description' => 1]),
        );
    }

    public function test_a_schema_says_what_its_type_says(): void
    {
        $schemas = DocumentSchemas::all(['Documents' => dirname(__DIR__, 2).'/documents']);
        $of = static fn (string $schema, string $property): array => array_diff_key(
            $schemas[$schema]['properties'][$property], ['description' => 1],
        );
        $fingers = ['climb', 'turn', 'run', 'slide', 'tilt'];

        self::assertSame(['type' => 'string', 'enum' => $fingers, 'nullable' => true], $of('Handle', 'finger'), 'words or null');
        self::assertSame(
            ['type' => 'array', 'items' => ['type' => 'array', 'items' => ['oneOf' => [['type' => 'string'], ['type' => 'number']]]]],
            $of('SunDay', 'path'), 'a list of an instant and two angles',
        );
        self::assertSame(['oneOf' => [['$ref' => '#/components/schemas/GeoPoint']], 'nullable' => true], $of('SiteReading', 'home'));
        self::assertTrue($of('RigChange', 'from')['nullable']);
        self::assertSame(
            [['type' => 'string'], ['type' => 'number'], ['type' => 'boolean']], $of('RigChange', 'from')['oneOf'],
            'a number, a word or a switch',
        );
    }

    #[DataProvider('moves')]
    public function test_what_is_read_off_a_shot_of_every_move_is_written_as_promised(string $id): void
    {
        foreach (MoveDraw::feasible($id, 6, 1) as $plan) {
            self::assertPromised('Reading', Wire::document(ReadingDocument::of(ShotNotes::of($plan, new Brief, 3840)), new Speaker));

            return;
        }
        self::assertSame(Combination::ID, $id, 'nothing feasible was drawn');
    }

    public function test_the_light_of_a_day_is_written_as_promised_where_it_sets_and_where_it_does_not(): void
    {
        foreach (['2027-03-20' => 57.6, '2027-06-21' => 78.0, '2027-12-21' => 78.0] as $date => $latitude) {
            $place = new GeoPoint($latitude, -0.4, 0.0);
            $plan = Shots::plan(['radius_m' => 24.0]);
            $day = LightDayDocument::of($place, $date, $plan, new Light('back', 'golden'));
            self::assertPromised('LightDay', Wire::document($day, new Speaker));
            self::assertSame($latitude > 70 ? ($date === '2027-06-21' ? 'up' : 'down') : 'sets', $day->day->state, $date);
        }
    }

    /** @param  array<string, mixed>  $written */
    private static function assertPromised(string $schema, array $written): void
    {
        $given = json_decode(json_encode($written, JSON_THROW_ON_ERROR));
        $result = self::promises()->validate($given, self::WIRE."#/components/schemas/$schema");
        self::assertTrue(
            $result->isValid(), $schema.': '.json_encode($result->error()?->data()?->fullPath()).' '.$result->error()?->message(),
        );
    }

    /** Every schema of docs/openapi.json, read once. */
    private static function promises(): Validator
    {
        static $promises = null;
        if ($promises === null) {
            $promises = new Validator;
            $components = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true)['components'];
            $promises->resolver()?->registerRaw((string) json_encode(['components' => self::nullsToo($components)]), self::WIRE);
        }

        return $promises;
    }

    /** OpenAPI's `nullable` as JSON Schema has it. */
    private static function nullsToo(mixed $schema): mixed
    {
        if (! is_array($schema)) {
            return $schema;
        }
        $schema = array_map(self::nullsToo(...), $schema);
        if (($schema['nullable'] ?? false) === true) {
            unset($schema['nullable']);
            $schema = ['oneOf' => [$schema, ['type' => 'null']]];
        }

        return $schema;
    }
}
