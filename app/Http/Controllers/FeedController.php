<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\WriteOwnCalendar;
use App\Documents\FeedLink;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** A calendar that other programs ask for by a link of one's own: whoever has the link sees it, until it is taken back. */
final class FeedController extends Controller
{
    #[OA\Post(path: '/account/calendar', operationId: 'makeCalendarLink', responses: [
        new OA\Response(
            response: 201, description: 'The link, shown once; one made before is closed',
            content: new OA\JsonContent(ref: '#/components/schemas/FeedLink'),
        ),
    ])]
    public function store(Request $request): JsonResponse
    {
        $key = Str::random(48);
        $this->user($request)->forceFill(['calendar_key' => hash('sha256', $key)])->save();
        Trail::note('calendar-link-made');

        return $this->answer(new FeedLink(rtrim(config()->string('app.url'), '/')."/calendar/$key.ics"), 201);
    }

    #[OA\Delete(path: '/account/calendar', operationId: 'closeCalendarLink', responses: [
        new OA\Response(response: 204, description: 'The link leads nowhere from now on'),
    ])]
    public function destroy(Request $request): JsonResponse
    {
        $this->user($request)->forceFill(['calendar_key' => null])->save();
        Trail::note('calendar-link-closed');

        return $this->answer(null, 204);
    }

    public function show(string $key, WriteOwnCalendar $write): Response
    {
        $query = User::query()->withoutGlobalScopes()->where('calendar_key', hash('sha256', $key))->where('disabled_at', null);

        return $this->download($write($query->firstOrFail()), 'text/calendar; charset=utf-8', 'larkspur.ics');
    }
}
