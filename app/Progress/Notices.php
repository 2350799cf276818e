<?php

declare(strict_types=1);

namespace App\Progress;

use App\Documents\NoticeDocument;
use App\Models\Comment;
use App\Models\LessonMember;
use App\Models\StepSaying;
use App\Models\User;
use Carbon\CarbonInterface;
use Larkspur\Fact;
use Larkspur\Training\Ladder\Ladder;

/** What came back while somebody was away, of the latest week and since they last said that they saw it: the latest first. */
final readonly class Notices
{
    private const DAYS = 7;

    private const MOST = 8;

    /** @return list<NoticeDocument> */
    public static function of(User $user): array
    {
        $since = now()->subDays(self::DAYS);
        if ($user->notices_seen_at !== null && $user->notices_seen_at->isAfter($since)) {
            $since = $user->notices_seen_at;
        }
        $ladder = ClimbLadder::ofSchool($user->school_id)->steps;
        $all = $user->seesClass() ? [...self::answers($user, $since), ...self::words($since, $ladder)] : [
            ...self::given($user, $since), ...self::signed($user, $since, $ladder), ...self::comments($user, $since),
        ];
        usort($all, static fn (NoticeDocument $a, NoticeDocument $b): int => $b->at <=> $a->at);

        return array_slice($all, 0, self::MOST);
    }

    /** @return list<NoticeDocument> what operators said of lessons */
    private static function answers(User $user, CarbonInterface $since): array
    {
        $query = LessonMember::query()->with(['lesson', 'operator'])->where('comment', '<>', '')->where('updated_at', '>', $since)
            ->whereHas('lesson', static fn ($lesson) => $lesson->where('school_id', $user->school_id));
        $query->latest('updated_at')->limit(self::MOST);

        return array_values($query->get()->map(
            static fn (LessonMember $one): NoticeDocument => NoticeDocument::of(Fact::of(
                'notice.lesson-answered', who: Fact::name($one->operator->name ?? ''), title: Fact::name($one->lesson->title),
                text: Fact::name($one->comment),
            ), $one->updated_at, '/progress?room=lessons'),
        )->all());
    }

    /** @return list<NoticeDocument> steps that operators say feel settled */
    private static function words(CarbonInterface $since, Ladder $ladder): array
    {
        $query = StepSaying::query()->where('kind', StepSaying::WORD)->where('created_at', '>', $since);
        $query->latest('id')->limit(self::MOST);

        return array_values($query->get()->map(
            static fn (StepSaying $one): NoticeDocument => NoticeDocument::of(
                Fact::of('notice.settled', who: Fact::name($one->author), step: self::step($one, $ladder)), $one->created_at,
                "/progress?room=ladder&operator=$one->operator_id",
            ),
        )->all());
    }

    /** @return list<NoticeDocument> */
    private static function given(User $user, CarbonInterface $since): array
    {
        $query = LessonMember::query()->with('lesson.author')->where('operator_id', $user->id)->where('created_at', '>', $since)
            ->whereHas('lesson');
        $query->latest('id')->limit(self::MOST);

        return array_values($query->get()->map(
            static fn (LessonMember $one): NoticeDocument => NoticeDocument::of(
                Fact::of('notice.lesson-given', title: Fact::name($one->lesson->title), purpose: Fact::name($one->lesson->purpose)),
                $one->created_at, '/progress?room=lessons',
            ),
        )->all());
    }

    /** @return list<NoticeDocument> */
    private static function signed(User $user, CarbonInterface $since, Ladder $ladder): array
    {
        $query = StepSaying::query()->where('operator_id', $user->id);
        $query->whereIn('kind', [StepSaying::SIGN_OFF, StepSaying::WITHDRAWAL])->where('created_at', '>', $since);
        $query->latest('id')->limit(self::MOST);

        return array_values($query->get()->map(
            static fn (StepSaying $one): NoticeDocument => NoticeDocument::of(Fact::of(
                $one->kind === StepSaying::SIGN_OFF ? 'notice.signed' : 'notice.withdrawn', who: Fact::name($one->author),
                step: self::step($one, $ladder),
            ), $one->created_at, '/progress?room=ladder'),
        )->all());
    }

    /** @return list<NoticeDocument> what others said of takes */
    private static function comments(User $user, CarbonInterface $since): array
    {
        $query = Comment::query()->with('author')->where('author_id', '<>', $user->id)->where('created_at', '>', $since)
            ->whereHas('take', static fn ($take) => $take->where('operator_id', $user->id));
        $query->latest('id')->limit(self::MOST);

        return array_values($query->get()->map(
            static fn (Comment $one): NoticeDocument => NoticeDocument::of(
                Fact::of('notice.comment', who: Fact::name($one->author->name ?? ''), text: Fact::name($one->text)), $one->created_at,
                "/debrief/$one->take_id?at=$one->at_s",
            ),
        )->all());
    }

    /** What the step is called; one that has left the ladder, by its id. */
    private static function step(StepSaying $said, Ladder $ladder): Fact
    {
        return $ladder->step($said->step)?->name() ?? Fact::name($said->step);
    }
}
