<?php

/**
 * Writes the tables of the documents from the catalogue itself: docs/moves.md whole, and in docs/scoring.md what stands
 * between "<!-- table: NAME -->" and "<!-- end -->". tables.php DOCS FOLDER reads scoring.md in DOCS and writes both to FOLDER.
 */

declare(strict_types=1);

use Larkspur\Camera\Lens;
use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Move;
use Larkspur\Move\Parameter;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\MetricScale;
use Words\Speaker;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$_, $docs, $folder] = $argv;
$say = (new Speaker)->say(...);

$judging = static fn (Move $move): Judging => $move->judging(new Intent(
    $move->about()->id, null, null, 0.5, 0.5, Lens::assumed(), null, [],
));
$row = static fn (string ...$cells): string => '| '.implode(' | ', $cells)." |\n";
$figure = static fn (float $value): string => rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
$weight = static fn (float $value): string => ltrim(number_format($value, 2, '.', ''), '0');

$asks = static function (Judging $judging): string {
    $words = [];
    foreach ([[Role::Steady, 'steady'], [Role::Profile, 'profile'], [Role::Coupled, 'coupled'], [Role::Still, 'still']] as [$role, $name]) {
        $axes = array_map(
            static fn (Axis $axis): string => $axis->value,
            array_filter(Axis::cases(), static fn (Axis $axis): bool => $judging->role($axis) === $role),
        );
        if ($axes !== []) {
            $words[] = $name.': '.implode(', ', $axes);
        }
    }

    return $words === [] ? 'by the figure' : implode('; ', $words);
};

// The library.
$text = "# Moves and drills\n\nWritten by `bin/make-types` from `core/Move`; a change is made there. Fingers: what starts together stands together, “then”\n"
    ."what follows it; (in brackets) what a variant leaves at rest; ± either way, ∓ against it, = with it. Levels 1 (first days)\nto 5 (the hardest). What each axis is asked is explained in [scoring.md](scoring.md).\n";
foreach (Group::cases() as $group) {
    $moves = array_values(array_filter(Catalogue::all(), static fn (Move $move): bool => $move->about()->group === $group));
    if ($moves === []) {
        continue;
    }
    $text .= "\n## {$say($group->words())}\n\n"
        .$row('move', 'level', 'fingers', 'what it does', 'clean', 'asked of the axes', 'dials', 'needs')
        .'|'
        .str_repeat(' --- |', 8)
        ."\n";
    foreach ($moves as $move) {
        $about = $move->about();
        $text .= $row(
            "**{$say($about->name())}** `{$about->id}`", (string) $about->level,
            $about->fingering->text === '' ? 'none' : str_replace(' > ', ', then ', $about->fingering->text), $say($about->does()),
            $say($about->clean()), $asks($judging($move)),
            implode(', ', array_map(static fn (Parameter $parameter): string => "`{$parameter->id}`", $move->parameters())),
            $about->needs === [] ? 'nothing' : implode(', ', array_map(static fn (string $id): string => "`$id`", $about->needs)),
        );
    }
}
$text .= "\n## What goes wrong in each, and the cue against it\n\n".$row('move', 'fault', 'cue').'|'.str_repeat(' --- |', 3)."\n";
foreach (Catalogue::all() as $move) {
    foreach ($move->about()->faults as $fault) {
        $text .= $row("`{$move->about()->id}`", $say(FaultKinds::name($fault)), $say($move->about()->cueAgainst($fault)));
    }
}
$text .= "\n## Dials\n\n".$row('dial', 'is', 'from', 'to', 'unit').'|'.str_repeat(' --- |', 5)."\n";
foreach (Parameter::vocabulary() as $parameter) {
    $text .= $parameter->choices !== []
        ? $row("`{$parameter->id}`", $say($parameter->label()), implode(', ', $parameter->choices), '', '')
        : $row("`{$parameter->id}`", $say($parameter->label()), $figure($parameter->least), $figure($parameter->most), $parameter->unit);
}
file_put_contents("$folder/moves.md", $text);

// The tables of the scoring.
$anchors = $row('figure', 'anchors: value → score').'| --- | --- |'."\n";
foreach (MetricScale::cases() as $case) {
    $anchors .= $row(
        $say(Fact::of("scale.$case->value")),
        implode(', ', array_map(static fn (array $point): string => $figure($point[0]).' → '.$figure($point[1]), $case->points())),
    );
}
$kinds = [];
foreach (Catalogue::all() as $move) {
    $kinds[json_encode($judging($move)->weights)][] = $move->about()->id;
}
$parts = ['path', 'framing', 'steady', 'ease', 'smooth', 'clean', 'pace', 'completion'];
$weights = $row(
    'moves', 'path', 'frame', 'steadiness', 'ease', 'smoothness', 'stillness', 'pace', 'completion',
).'|'.str_repeat(' --- |', 9)."\n";
foreach ($kinds as $key => $ids) {
    $of = json_decode((string) $key, true);
    $weights .= $row(implode(', ', $ids), ...array_map(static fn (string $part): string => $weight((float) ($of[$part] ?? 0)), $parts));
}
$faults = $row('fault', 'rank', 'what to try').'| --- | --- | --- |'."\n";
foreach (FaultKinds::ids() as $id) {
    $faults .= $row($say(FaultKinds::name($id))." `$id`", (string) FaultKinds::of($id)->rank(), $say(FaultKinds::cue($id)));
}
$scoring = (string) file_get_contents("$docs/scoring.md");
foreach (['anchors' => $anchors, 'weights' => $weights, 'faults' => $faults] as $name => $table) {
    $scoring = (string) preg_replace_callback(
        "/(<!-- table: $name -->\n).*?(<!-- end -->)/s", static fn (array $found): string => $found[1].$table.$found[2], $scoring, 1,
        $count,
    );
    $count === 1 || exit("docs/scoring.md has no place for the table of $name.\n");
}
file_put_contents("$folder/scoring.md", $scoring);
