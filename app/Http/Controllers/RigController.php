<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Larkspur\Fields;
use Larkspur\Rig\Meaning;
use Larkspur\Rig\Rig as RigSheet;
use OpenApi\Attributes as OA;

/** What the numbers of a rig mean, mode by mode. */
final class RigController extends Controller
{
    #[OA\Get(path: '/rigs/{rig}/meaning', operationId: 'rigMeaning', parameters: [new OA\Parameter(name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [
        new OA\Response(response: 200, description: 'Curve and limits of each finger in each mode', content: new OA\JsonContent(ref: '#/components/schemas/RigMeaning')),
    ])]
    public function meaning(Rig $rig): JsonResponse
    {
        return new JsonResponse(['rig_id' => $rig->id, 'craft' => $rig->craft, 'version' => $rig->version, 'modes' => Meaning::of(RigSheet::read(Fields::of($rig->document)))]);
    }
}
