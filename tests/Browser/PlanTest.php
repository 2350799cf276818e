<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Larkspur\Camera\View;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Site\Solid;

/** An orbit shaped by hand: what is dragged is what the server works out and what the page draws. */
final class PlanTest extends BrowserCase
{
    public function test_dragging_the_start_redraws_every_picture(): void
    {
        $chrome = $this->onPlan();
        $before = $this->drawn($chrome);
        $chrome->drag('[data-handle=start]', 38, 22);
        $chrome->waitUntil(
            fn (): bool => $this->differs($chrome, $before),
            'A picture stayed as it was: '.implode(', ', array_keys(array_intersect_assoc($before, $this->drawn($chrome)))),
        );
        $this->settle($chrome);

        // What is drawn is what the server answers to these very numbers.
        $radius = $this->dial($chrome, 'Radius');
        [$site, $plan] = $this->planned($chrome);
        self::assertEqualsWithDelta($radius, $plan['intent']['parameters']['radius_m'], 0.051);
        self::assertNotSame('', $site['name']);
        $chrome->seeText((string) $plan['summary']);
        self::assertStringContainsString(' s of it held', (string) $plan['summary']);
        $expectation = $chrome->api('/expectations', $this->sent($chrome));
        $chrome->seeText('would score '.round($expectation['expected']['score']));
    }

    public function test_dragging_the_end_sets_the_arc_and_the_side_sheet_the_height(): void
    {
        $chrome = $this->onPlan();
        $arc = $this->dial($chrome, 'Arc');
        $chrome->drag('[data-handle=end]', -30, -30);
        $chrome->waitUntil(fn (): bool => abs($this->dial($chrome, 'Arc') - $arc) > 3, 'The arc stayed.');
        $this->settle($chrome);
        $height = $this->dial($chrome, 'Height');
        $chrome->drag('[data-picture=side-sheet] [data-handle=height]', 0, -30);
        $chrome->waitUntil(fn (): bool => $this->dial($chrome, 'Height') > $height + 1, 'The height stayed.');
    }

    public function test_times_are_pulled_on_the_thumb_sheet_and_the_heading_on_the_site_sheet(): void
    {
        $chrome = $this->onPlan();
        $ease = $this->dial($chrome, 'Ease in and out');
        $chrome->drag('[data-handle=ease]', 36, 0);
        $chrome->waitUntil(fn (): bool => $this->dial($chrome, 'Ease in and out') > $ease + 0.5, 'The ease stayed.');
        $this->settle($chrome);
        $pace = $this->dial($chrome, 'Pace');
        $chrome->drag('[data-handle=pace]', -120, 0);
        $chrome->waitUntil(fn (): bool => $this->dial($chrome, 'Pace') > $pace + 0.3, 'The pace stayed.');
        $this->settle($chrome);
        // The grip stands where the way now ends.
        [, $plan] = $this->planned($chrome);
        self::assertEqualsWithDelta($plan['phases']['stop_s'], (float) $chrome->attribute('[data-handle=pace]', 'aria-valuenow'), 0.06);
        self::assertEqualsWithDelta($this->dial($chrome, 'Pace'), $plan['intent']['parameters']['pace_mps'], 0.06);

        $chrome->visit('/plan/new?move=rise');
        $this->settle($chrome);
        $heading = $this->dial($chrome, 'Heading');
        $chrome->drag('[data-handle=heading]', 40, 30);
        $chrome->waitUntil(fn (): bool => abs($this->dial($chrome, 'Heading') - $heading) > 5, 'The heading stayed.');
        $this->settle($chrome);
        [, $plan] = $this->planned($chrome);
        self::assertEqualsWithDelta($this->dial($chrome, 'Heading'), fmod($plan['samples']['heading_deg'][0] + 360.0, 360.0), 0.6);
    }

    public function test_a_broken_limit_is_named_and_mended(): void
    {
        $chrome = $this->onPlan();
        $this->enter($chrome, 'Pace', '9.5');
        $chrome->see('[data-state=broken]');
        $broken = $chrome->count('[data-state=broken]');
        $chrome->click('[data-state=broken] button');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-state=broken]') < $broken, 'Mending mended nothing.');
        self::assertLessThan(9.5, $this->dial($chrome, 'Pace'));
    }

    public function test_the_mark_is_pulled_to_its_place_in_the_frame(): void
    {
        $chrome = $this->onPlan();
        $place = static fn (): float => (float) $chrome->script(
            'const mark = document.querySelectorAll("[data-picture=frame-strip] [data-role=mark]")[2];'
            .' return mark.getAttribute("cx") / mark.closest("svg").getAttribute("width")',
        );
        self::assertEqualsWithDelta(0.5, $place(), 0.02);
        $chrome->drag('[data-handle=aim]', -46, 0);
        $chrome->waitUntil(static fn (): bool => abs($place() - 1 / 3) < 0.02, 'The mark did not follow.');
        $chrome->seeText('33 % from the left');
        $chrome->press('To the middle');
        $chrome->waitUntil(static fn (): bool => abs($place() - 0.5) < 0.02, 'It did not come back.');
    }

    public function test_a_refused_dial_leaves_the_others_their_plan(): void
    {
        $chrome = $this->onPlan();
        $this->expectOnConsole('422');
        $this->enter($chrome, 'Arc', '1000');
        $this->enter($chrome, 'Stick leans forward (+) or back (−)', '15');
        $chrome->seeText('the way round ends');
        $path = $chrome->attribute('[data-role=planned-path]', 'd');
        $this->enter($chrome, 'Radius', '33');
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('[data-role=planned-path]', 'd') !== $path, 'The radius did nothing.',
        );
        $chrome->seeText('the way round ends');
    }

    public function test_what_can_t_be_drawn_is_refused_in_words_and_the_picture_stays(): void
    {
        $chrome = $this->onPlan();
        $this->expectOnConsole('422');
        $path = $chrome->attribute('[data-role=planned-path]', 'd');
        $this->enter($chrome, 'Radius', '0');
        $chrome->see('[role=alert]');
        self::assertStringContainsStringIgnoringCase('radius', $chrome->text('[role=alert]'));
        self::assertSame($path, $chrome->attribute('[data-role=planned-path]', 'd'));
        $this->enter($chrome, 'Radius', '24');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[role=alert]') === 0, 'The refusal stayed.');
        $this->enter($chrome, 'Arc', '4000');
        $chrome->see('[role=alert]');
        self::assertStringContainsStringIgnoringCase('arc', $chrome->text('[role=alert]'));
    }

    public function test_the_whole_shot_is_shaped_from_the_keyboard(): void
    {
        $chrome = $this->onPlan();
        $radius = $this->dial($chrome, 'Radius');
        $chrome->script('document.querySelector("[data-handle=start]").focus()');
        $chrome->type(WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_UP);
        $chrome->waitUntil(
            fn (): bool => abs($this->dial($chrome, 'Radius') - $radius - 3) < 0.01, 'Three arrow keys were not three metres.',
        );
        $chrome->script('document.activeElement.blur()');
        $way = static fn (): string => $chrome->text('[aria-label="Way round, from above"] [aria-checked=true]');
        $before = $way();
        $chrome->type('o');
        $chrome->waitUntil(static fn (): bool => ! in_array($way(), ['', $before], true), 'The direction stayed.');
    }

    public function test_steps_are_taken_back_and_what_was_not_kept_is_given_back(): void
    {
        $chrome = $this->asOperator('/plan/new');
        $this->settle($chrome);
        $before = $this->dial($chrome, 'Radius');
        $this->enter($chrome, 'Radius', '27');
        $this->settle($chrome);
        $chrome->click('button[aria-label=Undo]');
        $chrome->waitUntil(fn (): bool => abs($this->dial($chrome, 'Radius') - $before) < 0.01, 'The step was not taken back.');
        $chrome->click('button[aria-label="Do again"]');
        $chrome->waitUntil(fn (): bool => $this->dial($chrome, 'Radius') === 27.0, 'The step was not done again.');
        $this->settle($chrome);
        $chrome->seeText('Not kept yet');
        usleep(700_000);

        // As after a crash: nothing is asked, the page is simply there again.
        $chrome->visit('/plan/new');
        $this->settle($chrome);
        $chrome->seeText('and did not keep it');
        self::assertNotSame(27.0, $this->dial($chrome, 'Radius'));
        $chrome->press('Go on with that');
        $chrome->waitUntil(fn (): bool => $this->dial($chrome, 'Radius') === 27.0, 'It was not given back.');
        $this->settle($chrome);
        $chrome->press('Keep');
        $chrome->seeText('Kept at');
        $chrome->visit('/plan/new');
        $this->settle($chrome);
        self::assertStringNotContainsString('did not keep it', $chrome->text('aside'), 'What is kept is not given back.');
    }

    public function test_whoever_keeps_second_looks_at_theirs_and_decides(): void
    {
        $chrome = $this->asOperator('/plan/new');
        $this->settle($chrome);
        $title = 'Twice '.bin2hex(random_bytes(3));
        $field = 'input[aria-label="Title of the shot"]';
        $chrome->find($field)->sendKeys($title);
        $chrome->waitUntil(static fn (): bool => $chrome->attribute($field, 'value') === $title, 'The title was not taken.');
        $chrome->press('Keep');
        $chrome->seeText('Kept at');
        $chrome->waitUntil(static fn (): bool => (int) basename($chrome->path()) > 0, 'It has no address of its own.');
        $id = (int) basename($chrome->path());
        self::assertSame($title, self::ask("SELECT title FROM shots WHERE id = $id"));
        // Somebody else keeps it, as another tablet would.
        self::ask("UPDATE shots SET title = 'Theirs', version = version + 1 WHERE id = $id");
        $this->expectOnConsole('409');
        $this->enter($chrome, 'Radius', '26');
        $this->settle($chrome);
        $chrome->press('Keep');
        $chrome->seeText('Somebody kept this shot while you worked on it');
        self::assertSame('Theirs', self::ask("SELECT title FROM shots WHERE id = $id"), 'Nothing was written over it.');
        $chrome->press('Keep this as another');
        $chrome->waitUntil(static fn (): bool => (int) basename($chrome->path()) > $id, 'Mine was not kept beside it.');
        $mine = (int) basename($chrome->path());
        self::assertStringStartsWith($title, (string) self::ask("SELECT title FROM shots WHERE id = $mine"));
        self::assertContains($mine, array_column($chrome->api('/shots'), 'id'));
        self::assertSame('Theirs', self::ask("SELECT title FROM shots WHERE id = $id"));
    }

    public function test_any_place_on_a_site_can_be_the_subject_and_the_shot_is_kept(): void
    {
        $chrome = $this->asOperator('/plan/new');
        $this->settle($chrome);
        $chrome->click('[role=combobox][aria-label=Subject], [aria-label=Subject]');
        $chrome->see('[role=listbox]');
        $chrome->script('[...document.querySelectorAll("[role=option]")].find((o) => o.textContent.includes("your own")).dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }))');
        $chrome->see('[data-handle=subject]');
        $before = $chrome->attribute('[data-role=planned-path]', 'd');
        $chrome->drag('[data-handle=subject]', 40, -25);
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('[data-role=planned-path]', 'd') !== $before, 'The path did not follow its subject.',
        );
        $this->settle($chrome);
        $title = 'Heather patch '.bin2hex(random_bytes(3));
        $chrome->find('input[aria-label="Title of the shot"]')->sendKeys($title);
        $chrome->press('Keep');
        $chrome->waitUntil(static fn (): bool => preg_match('~^/plan/\d+$~', $chrome->path()) === 1, 'The shot was not kept.');
        $shots = $chrome->api('/shots');
        self::assertContains($title, array_column($shots, 'title'));
    }

    public function test_another_move_is_chosen_shaped_flown_and_judged(): void
    {
        $chrome = $this->asOperator('/plan/new');
        $this->settle($chrome);
        self::assertSame(1, $chrome->count('[data-handle=end]'));
        $chrome->click('[aria-label=Move]');
        $chrome->see('[role=listbox]');
        $chrome->script('[...document.querySelectorAll("[role=option]")].find((o) => o.textContent.includes("Pull-away")).dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }))');
        $chrome->see('[role=slider][aria-label="Climb on the way"]');
        $this->settle($chrome);
        self::assertStringNotContainsString('Other way round', $chrome->text('main'));
        $before = $chrome->attribute('[data-role=planned-path]', 'd');
        $chrome->drag('[data-handle=end]', -30, 25);
        $chrome->waitUntil(static fn (): bool => $chrome->attribute('[data-role=planned-path]', 'd') !== $before, 'The end did not move.');
        $this->settle($chrome);
        $chrome->press('Fly it');
        $chrome->see('[data-fly]');
        $chrome->press('Logs and simulated hands');
        $chrome->press('Fly “');
        $chrome->see('[data-role=clock]');
        $take = $chrome->api('/takes')['takes'][0];
        self::assertSame('pull-away', $take['move']);
        self::assertGreaterThan(60, $take['score']);
        self::assertSame(1, $chrome->count('[data-role=flown-path]'));
    }

    /** The wall stands half before and half behind the lens at the third picture of this orbit. */
    public function test_every_corner_in_the_strip_is_the_camera_s_projection(): void
    {
        $this->chrome()->overhear('/plans');
        $shots = $this->asOperator()->api('/shots');
        $stones = null;
        foreach ($shots as $shot) {
            if ($shot['subject_id'] === 'stones' && $shot['move'] === 'orbit' && str_starts_with($shot['title'], 'Seven')) {
                $stones = $shot;
            }
        }
        self::assertNotNull($stones);
        $chrome = $this->chrome();
        $chrome->visit("/plan/{$stones['id']}?radius_m=8&height_m=3&arc_deg=140&start_bearing_deg=160&pace_mps=1.5&direction=clockwise");
        $this->settle($chrome);
        [$site, $answer] = $this->planned($chrome);
        $rig = self::ask('SELECT document FROM rigs WHERE id = '.(int) $stones['rig_id']);
        $plan = Planner::plan(Shot::read(Fields::of([
            'schema' => Shot::SCHEMA, 'intent' => $answer['intent'], 'rig' => json_decode($rig, true, 32, JSON_THROW_ON_ERROR),
            'mode' => $stones['mode'],
            'site' => ['name' => $site['name'], ...$site['document']], 'wind' => $stones['wind'],
        ])));

        $behind = 0;
        $inside = 0;
        $frames = $this->polygons($chrome);
        self::assertCount(6, $frames);
        foreach ($frames as $frame) {
            $view = $plan->view($plan->move->flight->indexAt((float) $frame['t'] + 0.001));
            $expected = [];
            foreach ($plan->shot->site->solids as $solid) {
                // What stands wholly beside the frame is left out.
                $outline = $solid->silhouettes($view)[0] ?? [];
                if ($outline !== [] && isset($frame['solids'][$solid->id])) {
                    $expected[$solid->id] = $outline;
                    if (self::isAstride($solid, $view)) {
                        $behind++;
                    }
                }
            }
            self::assertEqualsCanonicalizing(array_keys($expected), array_keys($frame['solids']));
            foreach ($plan->shot->site->solids as $solid) {
                $drawn = array_merge(...$solid->silhouettes($view), ...[[]]);
                $within = array_filter($drawn, static fn (array $p): bool => abs($p[0]) < 0.5 && abs($p[1]) < 0.5);
                self::assertTrue($within === [] || isset($frame['solids'][$solid->id]), "$solid->id stands in the frame and is not drawn");
            }
            foreach ($frame['solids'] as $id => $corners) {
                self::assertCount(count($expected[$id]), $corners);
                foreach ($corners as $index => [$x, $y]) {
                    [$u, $v] = $expected[$id][$index];
                    // Cut close to the lens, a corner lies hundreds of frames outside, where the millimetre to which
                    // the intent's coordinates are written counts.
                    $allowed = max(1.0, 1e-4 * hypot($x, $y));
                    self::assertEqualsWithDelta(($u + 0.5) * $frame['width'], $x, $allowed, "$id at {$frame['t']} s");
                    self::assertEqualsWithDelta((0.5 - $v) * $frame['height'], $y, $allowed, "$id at {$frame['t']} s");
                    $inside += $allowed === 1.0 ? 1 : 0;
                }
                // The textbook's perspective, written out once more: a corner well before the lens is where x/z and y/z say.
                self::assertPerspective($plan->shot->site->solids, $id, $view, $corners, $frame);
            }
        }
        self::assertGreaterThan(0, $behind, 'No solid stood astride the lens: the check has lost its point.');
        self::assertGreaterThan(100, $inside);
    }

    /**
     * Pinhole projection (x/z, y/z of the camera's axes), from memory of any text on it: no corner of the drawn outline
     * may lie outside the corners' own projections where all of them are before the lens.
     *
     * @param  list<Solid>  $solids
     * @param  list<array{float, float}>  $corners
     * @param  array{width: float, height: float}  $frame
     */
    private static function assertPerspective(array $solids, string $id, View $view, array $corners, array $frame): void
    {
        foreach ($solids as $solid) {
            if ($solid->id !== $id || self::isAstride($solid, $view)) {
                continue;
            }
            $places = [];
            foreach (self::corners($solid) as $corner) {
                $east = $corner->east - $view->position->east;
                $north = $corner->north - $view->position->north;
                $up = $corner->up - $view->position->up;
                $ahead = $east * sin($view->heading) + $north * cos($view->heading);
                $depth = $ahead * cos($view->tilt) + $up * sin($view->tilt);
                $x = ($east * cos($view->heading) - $north * sin($view->heading)) / $depth;
                $y = ($up * cos($view->tilt) - $ahead * sin($view->tilt)) / $depth;
                $places[] = [
                    $frame['width'] * (0.5 + 0.5 * $x / tan($view->lens->horizontal / 2)),
                    $frame['height'] * (0.5 - 0.5 * $y / (tan($view->lens->horizontal / 2) / $view->lens->aspect)),
                ];
            }
            foreach ($corners as [$x, $y]) {
                self::assertLessThan(
                    1.0, min(INF, ...array_map(static fn (array $place): float => max(abs($place[0] - $x), abs($place[1] - $y)), $places)),
                    "$id has a corner that no corner of it projects to",
                );
            }
        }
    }

    private static function isAstride(Solid $solid, View $view): bool
    {
        $depths = array_map(static fn (Position $corner): float => $view->inLensAxes($corner)[2], self::corners($solid));

        return min($depths) < View::NEAR && max($depths) > View::NEAR;
    }

    /** @return non-empty-list<Position> */
    private static function corners(Solid $solid): array
    {
        $corners = array_merge(...array_merge(...$solid->body->edges()));
        self::assertNotEmpty($corners);

        return $corners;
    }

    private function onPlan(): Chrome
    {
        $this->chrome()->overhear('/plans');
        $chrome = $this->asOperator('/plan');
        $this->settle($chrome);

        return $chrome;
    }

    /** Waits for the answer to the last change, its expected score included. */
    private function settle(Chrome $chrome): void
    {
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->waitUntil(
            static fn (): bool => $chrome->count('[aria-busy=true]') === 0 && str_contains(
                $chrome->text('aside'), 'would score ',
            ) && ! str_contains(
                $chrome->text('aside'), 'would score …',
            ),
            'The plan did not settle.',
        );
    }

    private function dial(Chrome $chrome, string $label): float
    {
        return (float) str_replace(
            ["\u{2212}", ' '], ['-', ''],
            (string) $chrome->script('return document.querySelector(arguments[0]).value', ["input[aria-label^=\"$label\"]"]),
        );
    }

    private function enter(Chrome $chrome, string $label, string $value): void
    {
        // All of it once more where a page that was just kept put another field there.
        $chrome->again(static function () use ($chrome, $label, $value): void {
            $input = $chrome->see("input[aria-label^=\"$label\"]");
            $input->click();
            usleep(100_000);
            $input->sendKeys([WebDriverKeys::CONTROL, 'a']);
            $input->sendKeys([WebDriverKeys::NULL, $value, WebDriverKeys::ENTER]);
        });
    }

    /** @return array<string, string> the drawing of each picture */
    private function drawn(Chrome $chrome): array
    {
        $drawn = [];
        foreach (['site-sheet', 'side-sheet', 'frame-strip', 'stave-lanes'] as $picture) {
            $drawn[$picture] = (string) $chrome->script(
                'return document.querySelector(arguments[0]).innerHTML', ["[data-picture=$picture]",
                ]);
        }

        return $drawn;
    }

    /** @param  array<string, string>  $before */
    private function differs(Chrome $chrome, array $before): bool
    {
        return array_intersect_assoc($before, $this->drawn($chrome)) === [];
    }

    /**
     * The site and the plan of the last request that the page made, asked again.
     *
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    private function planned(Chrome $chrome): array
    {
        $draft = $this->sent($chrome);

        return [$chrome->api('/sites/'.$draft['site_id']), $chrome->api('/plans', $draft)];
    }

    /**
     * The shot of the last request that the page made, with what a pull in it came to.
     *
     * @return array<string, mixed>
     */
    private function sent(Chrome $chrome): array
    {
        $draft = $chrome->script('return window.sent ?? null');
        self::assertIsArray($draft);
        if (! isset($draft['pull'])) {
            return $draft;
        }
        $pulled = $chrome->api('/plans', $draft)['pulled'];
        unset($draft['pull']);

        return [...$draft, 'parameters' => [...$draft['parameters'], ...$pulled]];
    }

    /** @return list<array{t: string, width: float, height: float, solids: array<string, list<array{float, float}>>}> */
    private function polygons(Chrome $chrome): array
    {
        return $chrome->script(<<<'JS'
            return [...document.querySelectorAll('[data-picture=frame-strip] [data-frame]')].map((svg) => {
                const box = svg.getBoundingClientRect();
                const solids = {};
                for (const polygon of svg.querySelectorAll('[data-solid]')) {
                    const matrix = polygon.getScreenCTM();
                    solids[polygon.dataset.solid] = [...polygon.points].map((p) => {
                        const at = p.matrixTransform(matrix);
                        return [at.x - box.x, at.y - box.y];
                    });
                }
                return { t: svg.dataset.frame, width: box.width, height: box.height, solids };
            });
            JS);
    }
}
