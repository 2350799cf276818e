<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Site;
use Documents\Document;
use Documents\Shape;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;

/** A site as it was drawn. */
final readonly class SiteDocument implements Document
{
    /**
     * @param  array<string, mixed>  $document
     * @param  list<SiteSubject>  $subjects
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $about,
        public int $version,
        #[Shape('SiteDocument')]
        public array $document,
        public array $subjects,
    ) {
    }

    public static function of(Site $site): self
    {
        $frame = new LocalFrame(GeoPoint::read(Fields::of($site->document)->group('home')));

        return new self(
            $site->id, $site->name, $site->about, $site->version, $site->document,
            array_map(static fn (array $subject): SiteSubject => SiteSubject::of($subject, $frame), $site->subjects),
        );
    }
}
