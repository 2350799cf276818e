<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\SavedFirst;
use App\Documents\RigDocument;
use App\Documents\SiteDocument;
use App\Models\Rig;
use App\Models\Site;
use App\Spoken;
use Documents\Rig\ThreeWayDocument;
use Documents\Wire;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Problem details for errors (RFC 9457): what was wrong, where, and what was expected; never a stack trace. */
#[OA\Schema(schema: 'Problem', required: ['type', 'title', 'status', 'detail', 'errors'], properties: [
    new OA\Property(property: 'type', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'status', type: 'integer'),
    new OA\Property(property: 'detail', type: 'string'),
    new OA\Property(property: 'errors', type: 'array', items: new OA\Items(required: ['place', 'message', 'expected'], properties: [
        new OA\Property(property: 'place', type: 'string'),
        new OA\Property(property: 'message', type: 'string'),
        new OA\Property(property: 'expected', type: 'string'),
    ], type: 'object')),
], type: 'object')]
final readonly class Problem
{
    /**
     * @param  list<array{place: string, message: string, expected: string}>  $errors
     * @param  array<string, mixed>  $more  members of its own (RFC 9457, section 3.2)
     */
    private function __construct(
        private int $status,
        private string $type,
        private string $title,
        private string $detail,
        private array $errors = [],
        private array $more = [],
    ) {
    }

    public static function from(Throwable $error): self
    {
        $previous = $error->getPrevious();

        return match (true) {
            $error instanceof Refusal => new self(
                422, 'refused', 'This can’t be done as it stands', Spoken::to()->say($error->fact), [self::refused($error)],
            ),
            $error instanceof SavedFirst => self::savedFirst($error),
            $error instanceof ValidationException => self::invalid($error),
            $error instanceof AuthenticationException => new self(
                401, 'signed-out', 'You are signed out', 'Sign in again; what you entered is still here.',
            ),
            $error instanceof TokenMismatchException => new self(
                419, 'stale', 'This page is too old', 'Load it again; nothing was changed.',
            ),
            $error instanceof AuthorizationException, $previous instanceof AuthorizationException => new self(
                403, 'forbidden', 'This is not yours to do', 'It is somebody else’s work; a trainer of your school can open it.',
            ),
            $error instanceof ModelNotFoundException, $previous instanceof ModelNotFoundException => new self(
                404, 'not-found', 'Not found', 'There is no such record in your school.',
            ),
            $error instanceof PostTooLargeException => new self(
                413, 'too-large', 'This file is too large', 'Logs of up to 256 MB are taken.',
            ),
            $error instanceof HttpExceptionInterface => self::http($error),
            default => new self(500, 'failed', 'Something broke here', 'Nothing was saved. It has been written down; try again in a moment.'),
        };
    }

    /** What they saved goes along where it can be looked at beside one's own. */
    private static function savedFirst(SavedFirst $error): self
    {
        $latest = $error->latest;
        $theirs = match (true) {
            $latest instanceof Site => ['latest' => SiteDocument::of($latest)],
            $latest instanceof Rig && $error->difference !== null => [
                'latest' => RigDocument::of($latest), 'difference' => ThreeWayDocument::of($error->difference),
            ],
            default => [],
        };

        return new self(
            409, 'saved-first', 'Somebody saved first', Spoken::to()->say($error->fact()), [],
            ['version' => $latest->version, ...$theirs],
        );
    }

    private static function invalid(ValidationException $error): self
    {
        $errors = [];
        foreach ($error->errors() as $place => $messages) {
            foreach (is_array($messages) ? $messages : [] as $message) {
                $errors[] = self::error((string) $place, is_string($message) ? $message : '', '');
            }
        }

        return new self(
            $error->status, 'invalid', 'Something in the form is not right', $errors[0]['message'] ?? 'Look at the fields that are marked.',
            $errors,
        );
    }

    private static function http(HttpExceptionInterface $error): self
    {
        $status = $error->getStatusCode();
        [$type, $title, $detail] = match ($status) {
            403 => ['forbidden', 'This is not yours to do', 'It is somebody else’s work; a trainer of your school can open it.'],
            404 => ['not-found', 'Not found', 'There is no such record in your school.'],
            405 => ['wrong-method', 'This can’t be done here', 'The address is right, the method is not.'],
            429 => ['too-many', 'Too many tries', 'Wait a minute, then try again.'],
            default => ['http', 'This did not work', 'Try again in a moment.'],
        };

        return new self($status, $type, $title, $detail);
    }

    /** @return array{place: string, message: string, expected: string} */
    private static function refused(Refusal $refusal): array
    {
        $speaker = Spoken::to();

        return self::error($refusal->place, $speaker->say($refusal->fact), $speaker->say($refusal->expected));
    }

    /** @return array{place: string, message: string, expected: string} */
    private static function error(string $place, string $message, string $expected): array
    {
        return ['place' => $place, 'message' => $message, 'expected' => $expected];
    }

    public function response(): JsonResponse
    {
        return new JsonResponse([
            'type' => 'urn:larkspur:problem:'.$this->type,
            'title' => $this->title,
            'status' => $this->status,
            'detail' => $this->detail,
            'errors' => $this->errors,
            ...array_map(static fn (mixed $one): mixed => Wire::write($one, Spoken::to()), $this->more),
        ], $this->status, ['Content-Type' => 'application/problem+json']);
    }
}
