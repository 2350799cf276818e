<?php

/** English, practice: what core/Training says. */

declare(strict_types=1);

return [
    'practice.thumbs-swap-sides-say' => 'The thumbs swap sides: say which way each goes before you record.',
    'since-change.too-few-takes-tell' => 'Too few takes to tell: {before} before and {after} since, of moves flown with both. From {fewest} each side on it can be said.',
    'since-change.scores-rose-since-give' => 'Scores rose by {change:1} since, give or take {margin:1}.',
    'since-change.scores-fell-since-give' => 'Scores fell by {change:1} since, give or take {margin:1}.',
    'since-change.scores-moved-but-chance' => 'Scores moved by {change:1}, but chance alone moves them by {margin:1}: no change that can be told.',
    'practice.cue.ease' => 'Count two full seconds into the hold and two out of it. The thumbs come back as slowly as they left.',
    'practice.cue.flow' => 'Rest the tips of your thumbs on the sticks and breathe out before you press. Small, then smaller.',
    'practice.cue.hold' => 'Find the pace with the slide, then freeze that thumb. Only the turn may correct.',
    'practice.cue.line' => 'Watch the size of the subject: where it shrinks, a touch of run toward it.',
    'practice.cue.frame' => 'Choose the mark before you record, and correct on the turn while the stray is still small.',
    'direction.clockwise' => 'clockwise',
    'direction.counterclockwise' => 'counterclockwise',
    'lesson.no-typical-fault' => '“{fault}” is not a typical fault of this move.',
    'lesson.told-otherwise.late-by-plan' => 'It does not come out by this name: in a reveal the tilt has a time of its own by plan, so that lateness shows in where the picture ends.',
    'lesson.told-otherwise.figure' => 'It does not come out by this name: in a figure every finger has its turn, so that what leaks or sets out wrongly shows as leaving the figure.',
    'lesson.told-otherwise.bobs' => 'It does not come out by this name: a figure is judged by its way, in which a hopping height is named as bobbing.',
    'lesson.told-otherwise.slide-at-its-limit' => 'It does not come out by this name: at this distance the slide of the craft is at its limit before the picture crosses too fast.',
    'lesson.told-otherwise.tilt-ends-near' => 'It does not come out by this name: a tilt that falls short on the way down still ends within an eighth of the frame.',
    'lesson.told-otherwise.no-distance-to-keep' => 'It does not come out by this name: this way has no distance to keep, so that a bend that is off shows as a pace that comes and goes.',
    'lesson.told-otherwise.none-at-rest' => 'It does not come out by this name: all three axes of the thumbs play, so that none is at rest to leak into.',
    'lesson.told-otherwise.pressed-too-lightly' => 'It does not come out by this name: the stick is pressed to a fifth of its travel, too lightly to tell letting go from coming back.',
    'expected.one-of' => 'one of {choices}',
];
