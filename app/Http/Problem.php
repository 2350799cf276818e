<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\SavedFirst;
use App\Documents\RigDocument;
use App\Documents\ShotDocument;
use App\Documents\SiteDocument;
use App\Files\BytesGone;
use App\Files\NoRoom;
use App\Http\Middleware\NumberRequests;
use App\Models\Damaged;
use App\Models\Rig;
use App\Models\Shot;
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
use Illuminate\Support\Facades\Context;
use Illuminate\Validation\ValidationException;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Problem details for errors (RFC 9457): what was wrong, where, and what was expected; never a stack trace. */
#[OA\Schema(schema: 'Problem', required: ['type', 'title', 'status', 'detail', 'errors'], properties: [
    new OA\Property(property: 'type', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'status', type: 'integer'),
    new OA\Property(property: 'detail', type: 'string'),
    new OA\Property(property: 'request', description: 'its number in the log', type: 'string', nullable: true),
    new OA\Property(property: 'errors', type: 'array', items: new OA\Items(required: ['place', 'message', 'expected'], properties: [
        new OA\Property(property: 'place', type: 'string'),
        new OA\Property(property: 'message', type: 'string'),
        new OA\Property(property: 'expected', type: 'string'),
    ], type: 'object')),
], type: 'object')]
final readonly class Problem
{
    private const FORBIDDEN = ['forbidden', 'This is not yours to do', 'It is somebody else’s work; a trainer of your school can open it.'];

    /**
     * @param  list<array{place: string, message: string, expected: string}>  $errors
     * @param  array<string, mixed>  $headers
     * @param  array<string, mixed>  $more  members of its own (RFC 9457, section 3.2)
     */
    private function __construct(
        private int $status,
        private string $type,
        private string $title,
        private string $detail,
        private array $errors = [],
        private array $more = [],
        private array $headers = [],
    ) {
    }

    public static function from(Throwable $error): self
    {
        $previous = $error->getPrevious();

        return match (true) {
            $error instanceof BytesGone => new self(
                410, 'bytes-gone', 'This log can’t be read any more', Spoken::to()->say($error->fact), self::refused($error),
            ),
            $error instanceof Damaged => new self(
                422, 'damaged', 'This record is damaged', Spoken::to()->say($error->fact), self::refused($error),
            ),
            $error instanceof NoRoom => new self(
                507, 'no-room', 'This server is full', 'Nothing was taken: there is no room left to keep it. Tell whoever runs the server.',
            ),
            $error instanceof Refusal => new self(
                422, 'refused', 'This can’t be done as it stands', Spoken::to()->say($error->fact), self::refused($error),
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
                403, ...self::FORBIDDEN
            ),
            $error instanceof ModelNotFoundException, $previous instanceof ModelNotFoundException => new self(
                404, 'not-found', 'Not found', 'There is no such record in your school.',
            ),
            $error instanceof PostTooLargeException => new self(
                413, 'too-large', 'This file is too large', 'Logs of up to 256 MB are taken.',
            ),
            self::isAway($error) => new self(
                503, 'away', 'The server is just starting again',
                'Larkspur’s database is being started again and answers in a few seconds. What was not answered was not saved; try again.',
                headers: ['Retry-After' => '5'],
            ),
            $error instanceof HttpExceptionInterface => self::http($error),
            default => new self(
                500, 'failed', 'Something broke here', 'Nothing was saved. It has been written down; try again in a moment.',
            ),
        };
    }

    /** What they saved goes along where it can be looked at beside one's own. */
    private static function savedFirst(SavedFirst $error): self
    {
        $latest = $error->latest;
        $theirs = match (true) {
            $latest instanceof Site => ['latest' => SiteDocument::of($latest)],
            $latest instanceof Shot => [
                'latest' => ShotDocument::of($latest->load(['site', 'rig', 'operator.school'])->loadCount('takes')),
            ],
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
            403 => match ($error->getMessage()) {
                'second-factor' => [
                    'second-factor', 'A second factor is wanted',
                    'Your school asks for a second factor: set one up first, in your account.',
                ],
                'token' => [
                    'token-scope', 'This token can’t do that', 'It is not among what the token was made for; use another, or sign in.',
                ],
                default => self::FORBIDDEN,
            },
            421 => ['wrong-host', 'Not here', 'This server does not answer to that name; open it by the address that it was set up with.'],
            404 => ['not-found', 'Not found', 'There is no such record in your school.'],
            405 => ['wrong-method', 'This can’t be done here', 'The address is right, the method is not.'],
            429 => ['too-many', 'Too many tries', self::wait($error)],
            default => ['http', 'This did not work', 'Try again in a moment.'],
        };

        return new self($status, $type, $title, $detail, headers: $error->getHeaders());
    }

    /** Whether database or cache can't be reached (MariaDB: 1040, 1053, 2002, 2006, 2013), rather than anything being wrong. */
    public static function isAway(Throwable $error): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            // Sessions, cache and queue may lie in Redis.
            if ($one::class === 'RedisException') {
                return true;
            }
            if (
                $one instanceof PDOException && in_array(
                    (int) ($one->errorInfo[1] ?? $one->getCode()), [1040, 1053, 2002, 2006, 2013], true,
                )
            ) {
                return true;
            }
        }

        return false;
    }

    /** When it may be tried again, where that is known. */
    private static function wait(HttpExceptionInterface $error): string
    {
        $seconds = (int) ($error->getHeaders()['Retry-After'] ?? 60);

        return $seconds < 90 ? "Try again in $seconds seconds." : 'Try again in '.(int) ceil($seconds / 60).' minutes.';
    }

    /** @return list<array{place: string, message: string, expected: string}> what is wrong, all of it */
    private static function refused(Refusal $refusal): array
    {
        $speaker = Spoken::to();

        return array_map(
            static fn (Refusal $one): array => self::error($one->place, $speaker->say($one->fact), $speaker->say($one->expected)),
            [$refusal, ...$refusal->others],
        );
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
            // By it whoever runs the server finds in the log what went wrong.
            'request' => Context::get(NumberRequests::NAME),
            ...array_map(static fn (mixed $one): mixed => Wire::write($one, Spoken::to()), $this->more),
        ], $this->status, [...$this->headers, 'Content-Type' => 'application/problem+json']);
    }
}
