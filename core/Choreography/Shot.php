<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;
use Larkspur\Site\Site;
use Larkspur\Site\Wind;

/**
 * Everything that is needed to plan a shot and to fly it: the intent, the rig and its flight mode, the site, the
 * wind and the operator's sticks (schema "larkspur/shot/1", docs/formats.md).
 */
final readonly class Shot
{
    public const SCHEMA = 'larkspur/shot/1';

    public function __construct(
        public Intent $intent,
        public Rig $rig,
        public string $mode,
        public Site $site,
        public Wind $wind,
        public StickMode $sticks,
        public bool $wheelUp,
        public ComfortBand $comfort,
        public Layers $layers = new Layers,
    ) {
    }

    /** @param  bool  $kept  whether its site was read whole before it was kept */
    public static function read(Fields $fields, bool $kept = false): self
    {
        $schema = $fields->textOrNull('schema') ?? self::SCHEMA;
        if ($schema !== self::SCHEMA) {
            throw new Refusal(
                Fact::of('shot.file-says', schema: $schema), $fields->place('schema'), Fact::of('shot.text', schema: self::SCHEMA),
            );
        }
        $operator = $fields->groupOrNull('operator');

        return new self(
            Intent::read($fields->group('intent')),
            Rig::read($fields->group('rig')),
            $fields->choiceOrNull('mode', Rig::MODES) ?? 'standard',
            Site::read($fields->group('site'), $kept),
            Wind::read($fields->groupOrNull('wind')),
            StickMode::from((int) ($operator?->numberOrNull('stick_mode', 1, 4) ?? 2)),
            $operator?->choiceOrNull('wheel_up', ['push', 'pull']) !== 'pull',
            ComfortBand::read($fields->groupOrNull('comfort')),
            Layers::read($fields->groupOrNull('layers')),
        );
    }

    public function tune(): ModeTune
    {
        return $this->rig->mode($this->mode);
    }

    public function withIntent(Intent $intent): self
    {
        return new self(
            $intent, $this->rig, $this->mode, $this->site, $this->wind, $this->sticks, $this->wheelUp, $this->comfort, $this->layers,
        );
    }

    public function inMode(string $mode): self
    {
        return new self(
            $this->intent, $this->rig, $mode, $this->site, $this->wind, $this->sticks, $this->wheelUp, $this->comfort, $this->layers,
        );
    }

    /** The same shot in somebody else's hands. */
    public function inHands(StickMode $sticks, bool $wheelUp): self
    {
        return new self($this->intent, $this->rig, $this->mode, $this->site, $this->wind, $sticks, $wheelUp, $this->comfort, $this->layers);
    }

    /** The same shot with another rig, in another wind. */
    public function under(Rig $rig, Wind $wind): self
    {
        return new self($this->intent, $rig, $this->mode, $this->site, $wind, $this->sticks, $this->wheelUp, $this->comfort, $this->layers);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'schema' => self::SCHEMA,
            'intent' => $this->intent->toArray(),
            'rig' => $this->rig->toArray(),
            'mode' => $this->mode,
            'site' => $this->site->toArray(),
            'wind' => $this->wind->toArray(),
            'operator' => ['stick_mode' => $this->sticks->value, 'wheel_up' => $this->wheelUp ? 'push' : 'pull'],
            'comfort' => $this->comfort->toArray(),
            ...array_filter(['layers' => array_filter($this->layers->toArray(), is_string(...))]),
        ];
    }
}
