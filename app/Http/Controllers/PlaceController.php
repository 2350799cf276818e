<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\RigResource;
use App\Http\Resources\SiteResource;
use App\Models\Rig;
use App\Models\Site;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use OpenApi\Attributes as OA;

/** What a shot is planned with: the school's sites and rigs. */
final class PlaceController extends Controller
{
    #[OA\Get(path: '/sites', operationId: 'sites', responses: [new OA\Response(response: 200, description: 'Sites of the school', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Site')))])]
    public function sites(): AnonymousResourceCollection
    {
        return SiteResource::collection(Site::query()->orderBy('id')->limit(200)->get());
    }

    #[OA\Get(path: '/rigs', operationId: 'rigs', responses: [new OA\Response(response: 200, description: 'Rigs of the school, in their latest version', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Rig')))])]
    public function rigs(): AnonymousResourceCollection
    {
        $latest = Rig::query()->selectRaw('max(id)')->groupBy('craft', 'operator_id');

        return RigResource::collection(Rig::query()->whereIn('id', $latest)->orderBy('id')->limit(200)->get());
    }
}
