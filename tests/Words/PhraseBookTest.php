<?php

declare(strict_types=1);

namespace Tests\Words;

use Documents\Plan\PlanDocument;
use Documents\Reading\ReadingDocument;
use Documents\Score\ScoreDocument;
use Documents\Wire;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Notes\ShotNotes;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Move;
use Larkspur\Move\Parameter;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\MetricScale;
use Larkspur\Scoring\Petal;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use MessageFormatter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;
use Words\PhraseBook;
use Words\Reader;
use Words\Speaker;

use function Tests\said;

/** The phrase book: every fact has its phrase, every phrase its values; units, thumbs, plurals and a second language. */
final class PhraseBookTest extends TestCase
{
    public function test_every_fact_of_the_code_has_a_phrase_that_uses_its_values_and_no_others(): void
    {
        $book = new PhraseBook;
        $phrases = $book->all();
        $seen = 0;
        foreach (FactsInCode::all() as [$place, $code, $given]) {
            self::assertArrayHasKey($code, $phrases, "$place says “{$code}”");
            if ($given !== null) {
                $asked = FactsInCode::placeholders($phrases[$code]);
                self::assertSame([], array_values(array_diff($asked, $given)), "“{$phrases[$code]}” asks for what $place does not give");
                self::assertSame([], array_values(array_diff($given, $asked)), "“{$phrases[$code]}” leaves out what $place gives");
            }
            $seen++;
        }
        self::assertGreaterThan(500, $seen);
    }

    /** What the trail notes is a code: its words stand here, and whoever adds a note is reminded of them. */
    public function test_every_note_of_the_trail_has_its_words(): void
    {
        $phrases = (new PhraseBook)->all();
        $noted = [];
        foreach (glob(dirname(__DIR__, 2).'/app/{*,*/*,*/*/*}.php', GLOB_BRACE) ?: [] as $file) {
            preg_match_all("/Trail::note\\(\s*'([a-z-]+)'/", (string) file_get_contents($file), $found);
            array_push($noted, ...$found[1]);
        }
        self::assertGreaterThan(8, count(array_unique($noted)));
        foreach (array_unique($noted) as $code) {
            self::assertArrayHasKey("trail.$code", $phrases);
        }
    }

    public function test_every_phrase_is_a_message_that_icu_reads(): void
    {
        foreach ((new PhraseBook)->all() as $code => $phrase) {
            $message = (string) preg_replace('/\{(\w+):\d\}/', '{$1}', $phrase);
            self::assertNotNull(MessageFormatter::create('en', $message), $code);
            self::assertDoesNotMatchRegularExpression('/!(?!DOCTYPE)|[–—]|\s{2}|\s,|\s\.(?!\w)/u', $phrase, $code);
        }
    }

    public function test_every_phrase_is_said_somewhere(): void
    {
        foreach (array_keys((new PhraseBook)->all()) as $code) {
            self::assertTrue(FactsInCode::says($code), "“{$code}” is said nowhere");
        }
    }

    public function test_what_the_registries_hold_has_its_words(): void
    {
        $facts = [];
        foreach (Catalogue::all() as $move) {
            $about = $move->about();
            array_push(
                $facts, $about->name(), $about->does(), $about->clean(), $about->group->words(), Fact::of("level.$about->level"),
                ...array_map($about->cueAgainst(...), $about->faults),
            );
        }
        foreach (Parameter::vocabulary() as $parameter) {
            $facts[] = $parameter->label();
        }
        $facts[] = Fact::of('fault.outside.try');
        foreach (FaultKinds::all() as $kind) {
            foreach ($kind->wordings() as $wording) {
                array_push($facts, FaultKinds::name($wording), FaultKinds::cue($wording));
            }
        }
        array_push(
            $facts, ...array_map(static fn (Petal $petal): Fact => Fact::of("petal.$petal->value"), Petal::cases()),
            ...array_map(static fn (MetricScale $scale): Fact => Fact::of("scale.$scale->value"), MetricScale::cases()),
        );
        foreach (Finger::cases() as $finger) {
            array_push($facts, ...$finger->ends());
        }
        foreach ($facts as $fact) {
            self::assertTrue((new PhraseBook)->knows($fact->code), $fact->code);
        }
        self::assertGreaterThan(5, count(Group::cases()));
        // And nothing is said of what no registry holds.
        $known = array_map(
            static fn (Fact $fact): string => $fact->code,
            [...$facts, ...array_filter(array_map(static fn (Move $move): ?Fact => $move->about()->caution(), Catalogue::all()))],
        );
        foreach (array_keys((new PhraseBook)->all()) as $code) {
            if (preg_match('/^(parameter|move|fault)\.(?!move-such|one-of)/', $code) === 1) {
                self::assertContains($code, $known, 'words for nothing');
            }
        }
    }

    public function test_a_finger_has_one_name_for_each_of_its_ends(): void
    {
        foreach (Finger::cases() as $finger) {
            [$back, $ahead] = $finger->ends();
            self::assertSame(["end.$finger->value.0", "end.$finger->value.1"], [$back->code, $ahead->code]);
        }
        self::assertSame(['down', 'up'], array_map(said(...), Finger::Climb->ends()));
    }

    /**
     * Transmitter modes 1 to 4 as they are numbered everywhere (common practice, no published source): which thumb plays climb and turn.
     */
    #[DataProvider('modes')]
    public function test_a_text_that_names_a_thumb_names_the_one_that_plays_it(
        StickMode $mode, string $climb, string $turn, string $run,
    ): void {
        self::assertStringContainsString("the $climb does not climb in a hold", said(FaultKinds::cue('bobbing'), $mode));
        foreach ([
            [Finger::Climb, $climb], [Finger::Turn, $turn], [Finger::Run, $run], [Finger::Tilt, 'index finger'],
        ] as [$finger, $plays]) {
            self::assertSame($plays, lcfirst(said(Fact::of((new Reader(sticks: $mode))->thumb($finger)))));
        }
    }

    /** @return iterable<string, array{StickMode, string, string, string}> */
    public static function modes(): iterable
    {
        yield 'mode 1' => [StickMode::Mode1, 'right thumb', 'left thumb', 'left thumb'];
        yield 'mode 2' => [StickMode::Mode2, 'left thumb', 'left thumb', 'right thumb'];
        yield 'mode 3' => [StickMode::Mode3, 'right thumb', 'right thumb', 'left thumb'];
        yield 'mode 4' => [StickMode::Mode4, 'left thumb', 'right thumb', 'right thumb'];
    }

    public function test_no_phrase_names_a_thumb_that_another_mode_plays_with_the_other_one(): void
    {
        foreach ((new PhraseBook)->all() as $code => $phrase) {
            if (! str_starts_with($code, 'thumb.')) {
                self::assertDoesNotMatchRegularExpression('/\b(left|right) (thumb|stick)\b/i', $phrase, $code);
            }
        }
    }

    public function test_a_plan_and_its_judgement_are_said_in_feet_all_through(): void
    {
        $feet = new Speaker(new Reader(Reader::FEET));
        foreach (self::sentences($feet) as $sentence) {
            self::assertDoesNotMatchRegularExpression('/\d m(\/s)?\b|metre/u', $sentence);
        }
        self::assertNotEmpty(preg_grep('/\d ft\b/u', self::sentences($feet)));
        self::assertNotEmpty(preg_grep('/\d mph\b/u', self::sentences($feet)));
    }

    public function test_another_language_says_the_same_facts(): void
    {
        // A language that wraps every English phrase: what is not from the book stands outside the marks.
        $marked = array_map(static fn (string $phrase): string => '⟦'.$phrase.'⟧', (new PhraseBook)->all());
        $speaker = new Speaker(new Reader(language: 'qps'), new PhraseBook(['qps' => $marked]));
        $sentences = self::sentences($speaker);

        self::assertGreaterThan(30, count($sentences));
        foreach ($sentences as $sentence) {
            self::assertSame('', trim((string) preg_replace('/⟦(?:[^⟦⟧]|(?R))*⟧/u', '', $sentence)), $sentence);
        }
        // What a language does not have is said in the first one.
        $poor = new Speaker(new Reader(language: 'qps'), new PhraseBook(['qps' => ['petal.flow' => 'Qolf']]));
        self::assertSame(['Qolf', 'Ease'], [$poor->say(Fact::of('petal.flow')), $poor->say(Fact::of('petal.ease'))]);
    }

    public function test_plurals_and_choices_are_the_languages(): void
    {
        self::assertSame('It was flown: 1 take is judged against it.', said(Fact::of('shot.was-flown', takes: 1)));
        self::assertSame('It was flown: 3 takes are judged against it.', said(Fact::of('shot.was-flown', takes: 3)));
    }

    public function test_facts_are_kept_as_json_and_said_later(): void
    {
        $fact = Fact::all(
            Fact::of('comparison.ahead', first: 'Take 2', second: 'Take 1', by: Quantity::points(21.0)),
            Fact::of('comparison.look-yourself'),
        );
        $kept = json_decode(json_encode(['reason' => $fact, 'untold' => ['say' => 7]], JSON_THROW_ON_ERROR), true);

        self::assertSame(
            ['reason' => 'Take 2 is ahead of Take 1 by 21 points. Look at both on a large screen.', 'untold' => ['say' => 7]],
            (new Speaker)->saidThroughout($kept),
        );
        self::assertSame('no.such.code', said(Fact::of('no.such.code')), 'a fact of a later version shows its code');
    }

    public function test_names_that_people_gave_are_no_phrases(): void
    {
        self::assertSame('It’s {the} mill', said(Fact::name('It’s {the} mill')));
        self::assertStringContainsString('“it’s {a} {0,number}”', said(Fact::of('craft.name-taken', name: 'it’s {a} {0,number}')));
    }

    /** @return list<string> what is said of a plan, its reading and a take of it */
    private static function sentences(Speaker $speaker): array
    {
        static $facts = null;
        if ($facts === null) {
            $plan = Shots::plan(
                ['radius_m' => 24.0, 'arc_deg' => 200.0, 'pace_mps' => 4.2],
                ['wind' => ['from_deg' => 210, 'mean_mps' => 5.0, 'gust_mps' => 8.0], 'site' => Shots::stones()],
            );
            $flight = SimulatedOperator::fly($plan, OperatorHabits::named('hurried', 3), new Wind(3.6, 5.0, 8.0), 3);
            $score = Scorer::score((new Recorder)->record($flight, $plan->shot->site->frame()), $plan->move->intent);
            $facts = self::factsIn([
                Wire::document(PlanDocument::of($plan), null), Wire::document(ScoreDocument::of($score), null),
                Wire::document(ReadingDocument::of(ShotNotes::of($plan, new Brief, 3840)), null),
            ]);
        }

        return array_map($speaker->say(...), array_values(array_filter($facts, static fn (Fact $fact): bool => $fact->code !== 'name')));
    }

    /** @return list<Fact> */
    private static function factsIn(mixed $value): array
    {
        return match (true) {
            $value instanceof Fact => [$value],
            is_array($value) => array_merge(...array_values(array_map(self::factsIn(...), $value))),
            $value instanceof \stdClass => self::factsIn(get_object_vars($value)),
            default => [],
        };
    }
}
