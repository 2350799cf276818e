<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ListAwaitedPasses;
use App\Actions\MakePdf;
use App\Actions\ReadLogbook;
use App\Actions\WriteLogbookCalendar;
use App\Documents\LogbookDay;
use App\Documents\LogbookDocument;
use App\Documents\LogbookMonth;
use App\Documents\LogbookTotals;
use App\Documents\OwnEntryDocument;
use App\Http\Requests\OwnEntryForm;
use App\Http\Requests\ProgressWanted;
use App\Models\OwnEntry;
use App\Models\User;
use App\Progress\Logbook;
use Documents\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Larkspur\Telemetry\FlightCsvWriter;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** The logbook added up, written out, and what is entered in it by hand. */
final class LogbookController extends Controller
{
    /** Entries that are printed, the latest; the file has all. */
    private const ON_PAPER = 2000;

    #[OA\Get(path: '/logbook', operationId: 'logbook', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'Totals, months and own entries', content: new OA\JsonContent(ref: '#/components/schemas/Logbook'),
    )])]
    public function show(ProgressWanted $request, ListAwaitedPasses $awaited): JsonResponse
    {
        $operator = $request->operator();
        $entries = OwnEntry::query()->where('operator_id', $operator->id);
        $entries->orderByDesc('flown_at')->limit(self::SHOWN);
        $named = static fn (array $values): array => array_combine(
            array_map(static fn (string $name): string => lcfirst(str_replace('_', '', ucwords($name, '_'))), array_keys($values)), $values,
        );

        return $this->answer(new LogbookDocument(
            new Person($operator->id, $operator->name), new LogbookTotals(...$named(Logbook::totals($operator->id))),
            array_map(static fn (array $month): LogbookMonth => new LogbookMonth(...$month), Logbook::months($operator->id)),
            array_values($entries->get()->map(static fn (OwnEntry $one): OwnEntryDocument => OwnEntryDocument::of($one))->all()),
            $operator->goal_min,
            array_map(static fn (array $day): LogbookDay => new LogbookDay(...$day), Logbook::latestDays($operator)),
            $awaited($operator),
        ));
    }

    #[OA\Get(path: '/logbook/file', operationId: 'logbookFile', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
        new OA\Parameter(name: 'as', in: 'query', schema: new OA\Schema(type: 'string', enum: ['csv', 'pdf', 'ics'])),
    ], responses: [new OA\Response(
        response: 200, description: 'Every take and entry, a line each (RFC 4180); or its days, on paper or as iCalendar (RFC 5545)',
        content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')),
    )])]
    public function file(ProgressWanted $request, MakePdf $pdf, WriteLogbookCalendar $calendar): Response
    {
        $request->validate(['as' => ['sometimes', 'in:csv,pdf,ics']]);
        $operator = $request->operator();
        $as = $request->string('as', 'csv')->toString();
        if ($as === 'csv') {
            return response()->streamDownload(static function () use ($operator): void {
                echo implode(',', Logbook::COLUMNS)."\r\n";
                foreach (Logbook::rows($operator) as $row) {
                    echo implode(',', array_map(
                        static fn (string|int|float|null $cell): string => is_string($cell)
                            ? FlightCsvWriter::text($cell) : (string) $cell, $row,
                    ))."\r\n";
                }
            }, 'logbook.csv', ['Content-Type' => 'text/csv; charset=utf-8']);
        }

        return $as === 'ics'
            ? $this->download($calendar($operator), 'text/calendar; charset=utf-8', 'logbook.ics')
            : $this->download($pdf('print.logbook', [
                'operator' => $operator->name, 'school' => $operator->school->name, 'date' => now()->format('j F Y'),
                'totals' => Logbook::totals($operator->id), 'days' => Logbook::days($operator->id),
                'entries' => OwnEntry::query()->where('operator_id', $operator->id)->orderBy('flown_at')->limit(self::ON_PAPER)->get(),
            ], 'A4'), 'application/pdf', 'logbook.pdf');
    }

    #[OA\Post(path: '/logbook/file', operationId: 'readLogbook', requestBody: new OA\RequestBody(
        required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(
            required: ['file'], properties: [new OA\Property(property: 'file', type: 'string', format: 'binary')], type: 'object',
        )),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What it held that was not here is here', content: new OA\JsonContent(
                ref: '#/components/schemas/ReadBack',
            ),
        ),
        new OA\Response(response: 422, description: 'No logbook', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function read(Request $request, ReadLogbook $read): JsonResponse
    {
        $user = $this->user($request);
        abort_if($user->role === User::VIEWER, 403);
        $request->validate(['file' => ['required', 'file', 'max:8192']]);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $path = $file->getPathname();

        return $this->answer($read($user, $path));
    }

    #[OA\Post(path: '/own-entries', operationId: 'enterFlight', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/OwnEntryForm'),
    ), responses: [new OA\Response(
        response: 201, description: 'It is in the logbook', content: new OA\JsonContent(ref: '#/components/schemas/OwnEntry'),
    )])]
    public function store(OwnEntryForm $request): JsonResponse
    {
        $user = $this->user($request);
        abort_if($user->role === User::VIEWER, 403);
        $entry = OwnEntry::query()->create(['school_id' => $user->school_id, 'operator_id' => $user->id, ...$request->entry()]);

        return $this->answer(OwnEntryDocument::of($entry), 201);
    }

    #[OA\Delete(path: '/own-entries/{entry}', operationId: 'removeEntry', parameters: [new OA\Parameter(
        name: 'entry', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'It is gone'),
        new OA\Response(response: 404, description: 'Not yours', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function destroy(ProgressWanted $request, int $entry): JsonResponse
    {
        $query = OwnEntry::query()->where('operator_id', $this->user($request)->id)->whereKey($entry);
        $query->firstOrFail()->delete();

        return new JsonResponse(null, 204);
    }
}
