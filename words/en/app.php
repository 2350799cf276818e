<?php

/** Words about the school's records: what is imported, kept, shared and printed. */

declare(strict_types=1);

return [
    'import.waits-for-no-columns' => 'This upload does not wait for its columns.',
    'import.columns-unknown' => 'The columns of this file have names of their own. Say what they are; your school will remember it.',
    'import.broke' => 'Something broke while this log was read. Nothing was saved; try it again.',
    'import.not-whole' => 'The upload did not arrive whole.',
    'import.not-arrived' => 'The log did not arrive.',
    'import.known-already' => 'This log is in your logbook already, byte for byte.',
    'import.read-anew' => 'This log was read otherwise before: {left, plural, one {the take} other {the # takes}} of then left the logbook, with what was said of {left, plural, one {it} other {them}}.',
    'import.no-take' => 'Nothing in this log moves the picture for three seconds, so there is no take in it.',
    'import.take-needs-no-name' => 'Take {number} of this log needs no name.',
    'log.bytes-gone' => 'The bytes of this log are not on the disk any more.',
    'craft.needs-name' => 'A craft needs a name.',
    'craft.name-taken' => 'The school has a craft called “{name}” already.',
    'craft.saved-first' => 'Somebody changed this craft while you worked on it. Load it again; what you entered is still here.',
    'rig.saved-first' => '{who} saved version {version} of this rig while you worked on it. Yours is not lost: look at both and decide.',
    'rig.saved-first-by-somebody' => 'Somebody saved version {version} of this rig while you worked on it. Yours is not lost: look at both and decide.',
    'site.saved-first' => 'Somebody saved this site while you drew. Yours is still here: look at theirs, then save over it or take theirs.',
    'day.saved-first' => 'Somebody changed this day while you worked on it. Load it again; what was ticked and flown is safe in any case.',
    'rig.nothing-different' => 'Nothing is different from the version that is saved.',
    'site.no-such-subject' => 'There is no such subject on this site.',
    'site.is-used' => 'It is used: {shots, plural, one {# shot is} other {# shots are}} planned and {days, plural, one {# day is} other {# days are}} flown here.',
    'shot.was-flown' => 'It was flown: {takes, plural, one {# take is} other {# takes are}} judged against it.',
    'light.asks-for-none' => 'It asks for no light of its own: any time between the blue hours will do.',
    'light.does-not-come' => 'The wanted light does not come on this day.',
    'day.no-time' => '“{hours}” is no time of a day.',
    'day.cannot-be-flown' => 'As planned it can’t be flown: {why}',
    'file.not-opened' => 'The file could not be opened.',
    'expected.file-sent-again' => 'the file to be sent again',
    'expected.log-not-imported-before' => 'a log that was not imported before',
    'expected.log-of-one-pass' => 'a log of at least one pass',
    'expected.name' => 'a name',
    'expected.another-name' => 'another name',
    'expected.change' => 'a change',
    'expected.unused-site' => 'a site that nothing is planned at',
    'expected.kml-file' => 'a KML file',
    'expected.shot-without-takes' => 'a shot without takes',
    'expected.hours-and-minutes' => 'hours and minutes, such as 08:30',
];
