<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\ImportRig;
use App\Actions\PrintFieldCard;
use App\Documents\RigDetail;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Larkspur\Fields;
use Larkspur\Rig\RigFile;
use OpenApi\Attributes as OA;

/** Rigs on paper and as files. */
final class RigFileController extends Controller
{
    #[OA\Get(path: '/rigs/{rig}/file', operationId: 'rigFile', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The rig and its craft as one file (docs/schemas/rig-1.schema.json)',
            content: new OA\JsonContent(ref: '#/components/schemas/RigFile'),
        ),
    ])]
    public function show(Rig $rig): JsonResponse
    {
        $this->authorize('view', $rig);
        Trail::note('file-taken', self::name($rig).'.rig.json');
        $craft = $rig->load('model')->model->sheet();
        $file = new RigFile($craft, $rig->sheet(), $rig->camera['focal_mm'] ?? $craft->camera->focals[0], $rig->reason);

        return (new JsonResponse($file->toArray(), options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES))
            ->withHeaders(['Content-Disposition' => 'attachment; filename="'.self::name($rig).'.rig.json"']);
    }

    #[OA\Post(path: '/rig-files', operationId: 'importRig', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/RigFile'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Taken in as a rig of yours, or of the school where a trainer sends it',
            content: new OA\JsonContent(ref: '#/components/schemas/RigDetail'),
        ),
        new OA\Response(
            response: 422, description: 'Another schema, or more than its craft can do',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(Request $request, ImportRig $import): JsonResponse
    {
        $user = $this->user($request);
        $file = RigFile::read(Fields::of($request->json()->all()));

        return $this->answer(RigDetail::of($import($file, $user->isTrainer() ? null : $user, $user), $this->user($request)), 201);
    }

    #[OA\Get(path: '/rigs/{rig}/card', operationId: 'fieldCard', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Its numbers on a card for the field, A5',
            content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function card(Request $request, Rig $rig, PrintFieldCard $print): Response
    {
        $this->authorize('view', $rig);

        return new Response(
            $print($rig->load(['model', 'operator']), $this->user($request)), 200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="'.self::name($rig).'.pdf"'],
        );
    }

    private static function name(Rig $rig): string
    {
        return Str::slug($rig->craft).'-version-'.$rig->version;
    }
}
