<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/** A rig with its craft as one file that other schools can read (schema "larkspur/rig/1", docs/formats.md). */
final readonly class RigFile
{
    public const SCHEMA = 'larkspur/rig/1';

    public function __construct(public Craft $craft, public Rig $rig, public float $focal, public string $reason = '')
    {
    }

    /**
     * @throws Refusal where it is another schema or another version of it, or its rig asks more than its craft gives
     */
    public static function read(Fields $fields): self
    {
        $schema = $fields->text('schema');
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                str_starts_with($schema, 'larkspur/rig/')
                    ? Fact::of('rig-file.rig-file-version-larkspur', schema: substr($schema, 13))
                    : Fact::of('rig-file.file-says-which-rig', schema: $schema),
                $fields->place('schema'), Fact::of('rig-file.text', schema: self::SCHEMA),
            );
        }
        $craft = Craft::read($fields->group('craft'));
        $settings = Rig::read($fields->group('rig'))->toArray();
        try {
            $rig = $craft->setUp($settings);
        } catch (Refusal $refusal) {
            throw $refusal->at('rig');
        }
        $focal = $fields->numberOrNull('focal_mm', 0.8, 600, 'mm') ?? $craft->camera->focals[0];
        $craft->camera->lens($focal);

        return new self($craft, $rig, $focal, $fields->textOrNull('reason') ?? '');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'schema' => self::SCHEMA, 'craft' => $this->craft->toArray(), 'rig' => $this->rig->toArray(), 'focal_mm' => $this->focal,
            'reason' => $this->reason,
        ];
    }
}
