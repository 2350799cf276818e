<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToSchool;
use App\Progress\OperatorRecord;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Larkspur\Training\Ladder\StepRecord;

/**
 * What somebody said of an operator's step: the operator's own word, a trainer's sign-off, who stands by. Nothing is overwritten: of each
 * kind the latest holds.
 *
 * @property int $id
 * @property int $operator_id
 * @property ?int $author_id
 * @property string $author
 * @property string $step
 * @property 'word'|'doubt'|'sign-off'|'withdrawal'|'supervisor' $kind
 * @property bool $overruled
 * @property string $text
 * @property int $ladder_version
 * @property list<int> $rests_on
 * @property Carbon $created_at
 */
final class StepSaying extends Model
{
    use BelongsToSchool;

    public const WORD = 'word';

    public const DOUBT = 'doubt';

    public const SIGN_OFF = 'sign-off';

    public const WITHDRAWAL = 'withdrawal';

    public const SUPERVISOR = 'supervisor';

    protected $fillable = [
        'school_id', 'operator_id', 'author_id', 'author', 'step', 'kind', 'overruled', 'text', 'ladder_version', 'rests_on',
    ];

    /** @var array<string, string> */
    protected $casts = ['overruled' => 'boolean', 'rests_on' => 'array', 'ladder_version' => 'integer'];

    protected static function booted(): void
    {
        self::saved(static fn (self $said) => OperatorRecord::changed($said->operator_id));
    }

    /**
     * What holds of an operator, by step.
     *
     * @param  list<self>  $sayings  in the order in which they were said
     * @return array<string, StepRecord>
     */
    public static function holding(array $sayings): array
    {
        $records = [];
        foreach ($sayings as $said) {
            $was = $records[$said->step] ?? new StepRecord;
            $day = $said->created_at->getTimestamp() / 86400;
            $records[$said->step] = match ($said->kind) {
                self::WORD => new StepRecord(true, $was->signedDay, $was->overruled, $was->supervisor),
                self::DOUBT => new StepRecord(false, $was->signedDay, $was->overruled, $was->supervisor),
                self::SIGN_OFF => new StepRecord($was->word, $day, $said->overruled, $was->supervisor),
                self::WITHDRAWAL => new StepRecord($was->word, null, false, $was->supervisor),
                self::SUPERVISOR => new StepRecord($was->word, $was->signedDay, $was->overruled, $said->text),
            };
        }

        return $records;
    }
}
