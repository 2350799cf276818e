<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Refusal;
use Larkspur\Xml\XmlEvents;
use Larkspur\Xml\XmlListener;

/** Reads the placemarks of a KML 2.2 file as parts of a site: points, lines and outer boundaries, with their names and extended data.
 *
 * @phpstan-import-type Feature from SiteImport
 */
final class KmlSiteReader implements XmlListener
{
    private bool $began = false;

    private string $name = '';

    /** @var array<string, mixed> */
    private array $properties = [];

    private string $data = '';

    private bool $inPlacemark = false;

    private bool $inner = false;

    private bool $extruded = false;

    private string $above = '';

    /** Placemarks that hold nothing that can stand. */
    private int $nothing = 0;

    private ?string $shape = null;

    /**
     * @var list<array{
     *     kind: 'point'|'line'|'area', points: non-empty-list<array{float, float, ?float}>,
     *     holes: list<non-empty-list<array{float, float, ?float}>>, tall: ?float,
     * }>
     */
    private array $shapes = [];

    /** @var list<Feature> */
    private array $features = [];

    private function __construct()
    {
    }

    /**
     * @param  resource  $stream
     * @param  list<GeoPoint>  $known  places that are filmed at
     */
    public static function read(mixed $stream, ?GeoPoint $home, array $known = []): SiteImport
    {
        $reader = new self;
        XmlEvents::read($stream, $reader);

        return SiteImport::of($reader->features, $home, $known, $reader->nothing);
    }

    public function opens(string $name, array $attributes, int $line): void
    {
        $local = XmlEvents::local($name);
        if (! $this->began) {
            $this->began = true;
            if ($local !== 'kml') {
                throw new Refusal(
                    Fact::of('kml-site-reader.file-begins', local: $local), sprintf('line %s', $line), Fact::of('kml-site-reader.kml-file'),
                );
            }
        }
        match ($local) {
            'Placemark' => [$this->inPlacemark, $this->name, $this->properties, $this->shapes] = [true, '', [], []],
            'Point', 'LineString', 'Polygon' => [$this->shape, $this->extruded, $this->above] = [$local, false, ''],
            'innerBoundaryIs' => $this->inner = true,
            'Data', 'SimpleData' => $this->data = $attributes['name'] ?? '',
            default => null,
        };
    }

    public function closes(string $name, string $text, int $line): void
    {
        if (! $this->inPlacemark) {
            return;
        }
        match (XmlEvents::local($name)) {
            'name' => $this->name = trim($text),
            'value', 'SimpleData' => $this->properties[$this->data] = self::decoded(trim($text)),
            'innerBoundaryIs' => $this->inner = false,
            'extrude' => $this->extruded = trim($text) === '1' || trim($text) === 'true',
            'altitudeMode' => $this->above = trim($text),
            'coordinates' => $this->coordinates($text, $line),
            'Placemark' => $this->placemark(),
            default => null,
        };
    }

    private static function decoded(string $text): mixed
    {
        return str_starts_with($text, '{') ? json_decode($text, true, 16) ?? $text : (is_numeric($text) ? (float) $text : $text);
    }

    private function coordinates(string $text, int $line): void
    {
        if ($this->shape === null) {
            return;
        }
        $points = [];
        $tuples = preg_split('/\s+/', trim($text), -1, PREG_SPLIT_NO_EMPTY);
        foreach ($tuples === false ? [] : $tuples as $tuple) {
            $parts = explode(',', $tuple);
            if (count($parts) < 2 || array_filter($parts, static fn (string $part): bool => ! is_numeric($part)) !== []) {
                throw new Refusal(
                    Fact::of('kml-site-reader.is-no-place', tuple: mb_strimwidth($tuple, 0, 40, '…')), sprintf('line %s', $line),
                    Fact::of('kml-site-reader.longitude-latitude-without-spaces'),
                );
            }
            $points[] = [(float) $parts[0], (float) $parts[1], isset($parts[2]) ? (float) $parts[2] : null];
        }
        if ($points === []) {
            throw new Refusal(
                Fact::of('kml-site-reader.these-coordinates-empty'), sprintf('line %s', $line),
                Fact::of('kml-site-reader.longitude-latitude'),
            );
        }
        if ($this->inner) {
            if ($this->shapes !== []) {
                $this->shapes[count($this->shapes) - 1]['holes'][] = $points;
            }

            return;
        }
        $this->shapes[] = [
            'kind' => ['Point' => 'point', 'LineString' => 'line', 'Polygon' => 'area'][$this->shape], 'points' => $points, 'holes' => [],
            'tall' => $this->tall($points),
        ];
    }

    /**
     * How tall a shape stands that is drawn down to the ground: the highest of its places above it.
     *
     * @param  non-empty-list<array{float, float, ?float}>  $points
     */
    private function tall(array $points): ?float
    {
        $most = max(array_map(static fn (array $point): float => $point[2] ?? 0.0, $points));

        return $this->extruded && $this->above === 'relativeToGround' && $most > 0.0 ? $most : null;
    }

    private function placemark(): void
    {
        foreach ($this->shapes as ['kind' => $kind, 'points' => $points, 'holes' => $holes, 'tall' => $tall]) {
            $this->features[] = [
                'kind' => $kind, 'points' => $points, 'holes' => $holes, 'name' => $this->name,
                'properties' => $tall === null ? $this->properties : ['height_m' => $tall, ...$this->properties],
            ];
        }
        $this->nothing += $this->shapes === [] ? 1 : 0;
        $this->inPlacemark = false;
    }
}
