<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\SiteResource;
use App\Models\Site;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use OpenApi\Attributes as OA;

/** Where a shot is planned: the school's sites. */
final class PlaceController extends Controller
{
    #[OA\Get(path: '/sites', operationId: 'sites', responses: [new OA\Response(response: 200, description: 'Sites of the school', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Site')))])]
    public function sites(): AnonymousResourceCollection
    {
        return SiteResource::collection(Site::query()->orderBy('id')->limit(200)->get());
    }
}
