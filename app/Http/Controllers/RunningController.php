<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\RunningDocument;
use App\Running\OpenMetrics;
use App\Running\ServerState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** How the server does: in a word for whoever watches it, in numbers on loopback, and for trainers. */
final class RunningController extends Controller
{
    /** For a load balancer: 503 where pages can't be answered. */
    public function up(): JsonResponse
    {
        $state = ServerState::now();
        $word = $state->word();

        return new JsonResponse([
            'state' => $word, 'database' => $state->database, 'storage' => $state->storage, 'room' => $state->hasRoom(),
            'workers' => $state->workers, 'oldest_s' => $state->oldestS, 'stalled' => $state->stalled, 'failed_jobs' => $state->failedJobs,
        ], $word === 'down' ? 503 : 200, ['Cache-Control' => 'no-store']);
    }

    public function metrics(): Response
    {
        return new Response(OpenMetrics::of(ServerState::now()), 200, ['Content-Type' => OpenMetrics::MEDIA_TYPE]);
    }

    #[OA\Get(path: '/running', operationId: 'running', responses: [
        new OA\Response(
            response: 200, description: 'How the server does', content: new OA\JsonContent(ref: '#/components/schemas/Running'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(): JsonResponse
    {
        $this->authorize('see-class');

        return $this->answer(RunningDocument::of(ServerState::now()));
    }
}
