<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\SaveSite;
use App\Documents\SiteDocument;
use App\Documents\SiteNameDocument;
use App\Http\Requests\SiteForm;
use App\Models\FlightDay;
use App\Models\Shot;
use App\Models\Site;
use Documents\Site\SiteImportDocument;
use Documents\Site\SiteReadingDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Refusal;
use Larkspur\Site\DrawnSite;
use Larkspur\Site\GeoJsonSiteReader;
use Larkspur\Site\KmlSiteReader;
use Larkspur\TakeAlong\ShotGeoJson;
use OpenApi\Attributes as OA;

/** Where a shot is planned: the school's sites, drawn or imported. */
final class SiteController extends Controller
{
    /** Largest file of places that is read, kB. */
    private const LARGEST = 20480;

    #[OA\Get(path: '/sites', operationId: 'sites', parameters: [new OA\Parameter(
        name: 'find', description: 'words of its name', in: 'query', schema: new OA\Schema(type: 'string'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Names of sites of the school, the latest changed first, sixty at most',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SiteName')),
        ),
    ])]
    public function index(Request $request): JsonResponse
    {
        $query = Site::query();
        $query->select(['id', 'name', 'about', 'version', 'subjects'])->orderByDesc('updated_at')->orderBy('id');

        return $this->answer(array_map(SiteNameDocument::of(...), $this->found($query, 'name', $request)->all()));
    }

    #[OA\Get(path: '/sites/{site}', operationId: 'site', parameters: [new OA\Parameter(
        name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 200, description: 'A site', content: new OA\JsonContent(ref: '#/components/schemas/Site')),
    ])]
    public function show(Site $site): JsonResponse
    {
        return $this->answer(SiteDocument::of($site));
    }

    #[OA\Post(path: '/sites', operationId: 'drawSite', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/SiteForm'),
    ), responses: [
        new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Site')),
        new OA\Response(
            response: 422, description: 'It can’t be as it is drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(SiteForm $request, SaveSite $save): JsonResponse
    {
        return $this->answer(SiteDocument::of($save($this->user($request), null, $request->drawn(), 0)), 201);
    }

    #[OA\Put(path: '/sites/{site}', operationId: 'changeSite', parameters: [new OA\Parameter(
        name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SiteForm')), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Site')),
        new OA\Response(response: 403, description: 'Somebody else’s', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 409, description: 'Somebody saved first', content: new OA\JsonContent(ref: '#/components/schemas/SiteChanged'),
        ),
        new OA\Response(
            response: 422, description: 'It can’t be as it is drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(SiteForm $request, Site $site, SaveSite $save): JsonResponse
    {
        $this->authorize('update', $site);

        return $this->answer(SiteDocument::of($save($this->user($request), $site, $request->drawn(), $request->integer('version'))));
    }

    #[OA\Delete(path: '/sites/{site}', operationId: 'removeSite', parameters: [new OA\Parameter(
        name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Removed'),
        new OA\Response(
            response: 422, description: 'Shots or days use it', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function destroy(Site $site): Response
    {
        $this->authorize('update', $site);
        $shots = Shot::query()->where('site_id', $site->id)->count();
        $days = FlightDay::query()->where('site_id', $site->id)->count();
        if ($shots + $days > 0) {
            throw new Refusal(Fact::of('site.is-used', shots: $shots, days: $days), 'site', Fact::of('expected.unused-site'));
        }
        Trail::note('removed-site', $site->name);
        $site->delete();

        return new Response(status: 204);
    }

    #[OA\Post(path: '/site-readings', operationId: 'readSite', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/SiteDocument'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What is wrong with a drawing, and the nearest that is right',
            content: new OA\JsonContent(ref: '#/components/schemas/SiteReading'),
        ),
    ])]
    public function reading(Request $request): JsonResponse
    {
        return $this->answer(SiteReadingDocument::of(DrawnSite::read(Fields::of($request->json()->all(), 'document'))));
    }

    #[OA\Post(path: '/site-imports', operationId: 'importSite', requestBody: new OA\RequestBody(
        required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['file'], properties: [
            new OA\Property(property: 'file', description: 'GeoJSON or KML', type: 'string', format: 'binary'),
            new OA\Property(property: 'site_id', description: 'the site that it is for; without one the file has its own', type: 'integer'),
        ], type: 'object'))
    ), responses: [
        new OA\Response(
            response: 200, description: 'What it would put on the site; nothing is kept yet',
            content: new OA\JsonContent(ref: '#/components/schemas/SiteImport'),
        ),
        new OA\Response(response: 422, description: 'It can’t be read', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function import(Request $request): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:'.self::LARGEST], 'site_id' => ['sometimes', 'integer']]);
        $home = $request->filled('site_id') ? Site::query()->findOrFail($request->integer('site_id'))->sheet()->home : null;
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $text = (string) file_get_contents($file->getRealPath());
        $isXml = str_starts_with(ltrim($text, "\u{FEFF} \n\r\t"), '<');
        // A new site's coordinates are told from turned ones by the places that the school films at.
        $known = $home === null ? $this->placesKnown() : [];
        $import = $isXml ? KmlSiteReader::read($this->stream($file), $home, $known) : GeoJsonSiteReader::read($text, $home, $known);

        return $this->answer(SiteImportDocument::of($import));
    }

    /** @return list<GeoPoint> where the school films */
    private function placesKnown(): array
    {
        $query = Site::query();
        $query->orderByDesc('id')->limit(50);

        return array_values(array_map(
            static fn (Site $site): GeoPoint => GeoPoint::read(Fields::of($site->document, 'site')->group('home')), $query->get()->all(),
        ));
    }

    /** @return resource */
    private function stream(UploadedFile $file): mixed
    {
        $stream = fopen($file->getRealPath(), 'r');

        return $stream === false ? throw new Refusal(Fact::of('file.not-opened'), 'file', Fact::of('expected.kml-file')) : $stream;
    }

    #[OA\Get(path: '/sites/{site}/file', operationId: 'siteFile', parameters: [new OA\Parameter(
        name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'GeoJSON',
            content: new OA\MediaType(mediaType: 'application/geo+json', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function file(Site $site): Response
    {
        Trail::note('file-taken', Str::slug($site->name).'.geojson');

        return new Response(
            ShotGeoJson::ofSite($site->sheet(), $site->subjects), 200,
            [
                'Content-Type' => 'application/geo+json',
                'Content-Disposition' => 'attachment; filename="'.Str::slug($site->name).'.geojson"',
            ],
        );
    }
}
