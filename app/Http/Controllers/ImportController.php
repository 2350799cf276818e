<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\ConfirmColumns;
use App\Actions\NameMove;
use App\Actions\SayReading;
use App\Documents\ImportDocument;
use App\Files\Vault;
use App\Http\Requests\ColumnsRequest;
use App\Http\Requests\NameMoveRequest;
use App\Http\Requests\SayReadingRequest;
use App\Http\Requests\UploadLog;
use App\Models\Import;
use App\Models\Shot;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Larkspur\Fact;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;
use RuntimeException;

/** Flight logs on their way in. */
final class ImportController extends Controller
{
    /** More logs than one drop has. */
    private const LISTED = 200;

    #[OA\Get(
        path: '/imports', operationId: 'imports',
        responses: [new OA\Response(
            response: 200, description: 'The latest that you sent, or that were sent for you',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Import')),
        )],
    )]
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request)->id;
        $imports = Import::query()->where(static fn ($query) => $query->where('owner_id', $user)->orWhere('sender_id', $user));
        $imports->latest('id')->limit(self::LISTED);

        return $this->answer(array_map(ImportDocument::of(...), $imports->get()->all()));
    }

    #[OA\Get(path: '/imports/{import}', operationId: 'import', parameters: [new OA\Parameter(
        name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 200, description: 'How far it is', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
    ])]
    public function show(Import $import): JsonResponse
    {
        $this->authorize('view', $import);

        return $this->answer(ImportDocument::of($import));
    }

    #[OA\Put(path: '/imports/{import}/columns', operationId: 'confirmColumns', parameters: [new OA\Parameter(
        name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['columns'], properties: [
        new OA\Property(
            property: 'columns', description: 'by quantity: the name of the column and its unit', type: 'object',
            additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/MappedColumn'),
        ),
    ], type: 'object')), responses: [
        new OA\Response(response: 202, description: 'It is read again', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
        new OA\Response(
            response: 422, description: 'Something is missing', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function columns(ColumnsRequest $request, Import $import, ConfirmColumns $confirm): JsonResponse
    {
        $this->authorize('view', $import);

        return $this->answer(ImportDocument::of($confirm($import, $request->columns())->refresh()), 202);
    }

    #[OA\Put(path: '/imports/{import}/reading', operationId: 'sayReading', parameters: [new OA\Parameter(
        name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['reading'], properties: [
        new OA\Property(
            property: 'reading', type: 'string',
            enum: ['as-written', 'swapped', 'radians', 'feet', 'from-take-off', 'above-sea', 'without-plan'],
        ),
    ], type: 'object')), responses: [
        new OA\Response(response: 202, description: 'It is read so', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
        new OA\Response(
            response: 422, description: 'Nothing was asked', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function reading(SayReadingRequest $request, Import $import, SayReading $say): JsonResponse
    {
        $this->authorize('view', $import);

        return $this->answer(ImportDocument::of($say($import->load('shot'), $request->reading())->refresh()), 202);
    }

    #[OA\Put(path: '/imports/{import}/takes/{number}', operationId: 'nameMove', parameters: [
        new OA\Parameter(name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'number', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(required: true,
        content: new OA\JsonContent(
            required: ['move'], properties: [new OA\Property(property: 'move', type: 'string')], type: 'object',
        )), responses: [
            new OA\Response(response: 200, description: 'Judged and kept', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
            new OA\Response(
                response: 422, description: 'It can’t be judged as that', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
            ),
        ])]
    public function take(NameMoveRequest $request, Import $import, int $number, NameMove $name): JsonResponse
    {
        $this->authorize('view', $import);
        $name($import->load('owner.school'), $number, $request->string('move')->toString());

        return $this->answer(ImportDocument::of($import->refresh()));
    }

    #[OA\Post(path: '/imports', operationId: 'uploadLog', requestBody: new OA\RequestBody(
        required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(required: ['log'], properties: [
            new OA\Property(
                property: 'log', description: 'a flight log (CSV, GPX, KML or GeoJSON), up to 256 MB', type: 'string', format: 'binary',
            ),
            new OA\Property(property: 'shot_id', type: 'integer'),
            new OA\Property(property: 'flown_at', type: 'string', format: 'date-time'),
        ], type: 'object'))
    ), responses: [
        new OA\Response(
            response: 202, description: 'Taken; follow it under /imports/{import}',
            content: new OA\JsonContent(ref: '#/components/schemas/Import'),
        ),
        new OA\Response(response: 413, description: 'Larger than 256 MB', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(UploadLog $request, Vault $vault): JsonResponse
    {
        $user = $this->user($request);
        $shot = $request->filled('shot_id') ? $this->seen(Shot::class, $request->integer('shot_id'), 'fly') : null;
        $file = $request->log();
        $path = 'uploads/'.Str::uuid()->toString().'.upload';
        $stream = fopen($file->getPathname(), 'rb');
        if ($stream === false) {
            throw new RuntimeException('The upload can’t be opened.');
        }
        $vault->keep($path, $stream);
        fclose($stream);
        $import = DB::transaction(static function () use ($user, $shot, $request, $file, $path): Import {
            $import = Import::query()->create([
                'owner_id' => $shot->operator_id ?? $user->id, 'sender_id' => $user->id, 'shot_id' => $shot?->id,
                'file_name' => $request->fileName(), 'path' => $path, 'bytes' => $file->getSize(),
                'flown_at' => $request->date('flown_at') ?? now(),
            ]);
            $import->queue();

            return $import;
        });

        return $this->answer(ImportDocument::of($import->refresh()), 202);
    }

    #[OA\Post(path: '/imports/{import}/again', operationId: 'tryImportAgain', parameters: [new OA\Parameter(
        name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 202, description: 'It is read again', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
        new OA\Response(
            response: 422, description: 'It did not fail', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function again(Import $import): JsonResponse
    {
        $this->authorize('view', $import);
        if ($import->state !== Import::FAILED) {
            throw new Refusal(Fact::of('import.did-not-fail'), 'import');
        }
        $import->queue();

        return $this->answer(ImportDocument::of($import->refresh()), 202);
    }

    #[OA\Delete(path: '/imports/{import}', operationId: 'cancelImport', parameters: [new OA\Parameter(
        name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Nothing more is done with it, and its upload is gone'),
        new OA\Response(response: 422, description: 'It has ended', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function destroy(Import $import, Vault $vault): JsonResponse
    {
        $this->authorize('view', $import);
        // A worker that is at it finds its lease gone, and keeps nothing.
        $left = Import::query()->whereKey($import->id)->whereIn('state', [...Import::OPEN, Import::REFUSED])->delete();
        if ($left === 0) {
            throw new Refusal(Fact::of('import.has-ended'), 'import');
        }
        Trail::note('removed-import', $import->file_name);
        $vault->drop($import->path);

        return $this->answer(null, 204);
    }
}
