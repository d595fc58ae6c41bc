<?php

namespace App\Http;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** What is said when something cannot be done: a sentence, and nothing of what is inside. */
class Failures
{
    /**
     * Error numbers of MariaDB (its manual, "Error Codes"): too many connections, not yet part of its cluster,
     * shutting down, two that waited for each other, server gone or lost.
     */
    private const AWAY = [1040, 1047, 1053, 1205, 1213, 1927, 2002, 2003, 2006, 2013];

    /** Disk full, file or table full, error writing a file. */
    private const FULL = [3, 1021, 1026, 1114];

    /** Whether it is answered here; what a form lacks and who must sign in first is the framework's to say. */
    public static function isOurs(Throwable $e): bool
    {
        return ! ($e instanceof ValidationException) &&
            ! ($e instanceof AuthenticationException) &&
            ! ($e instanceof HttpResponseException) &&
            ($e instanceof HttpException || ! config('app.debug') || self::isDiskFull($e));
    }

    /** The exception that is shown for another. */
    public static function instead(Throwable $e): HttpException
    {
        if (
            $e instanceof NotFoundHttpException ||
            $e instanceof AccessDeniedHttpException ||
            $e instanceof AuthorizationException
        ) {
            if (! $e instanceof NotFoundHttpException) { // who was kept from what: by number, no more is written
                Log::warning('kept out', ['user' => Auth::id(), 'asked' => request()->method().' '.request()->path()]);
            }

            // the same for both
            return new NotFoundHttpException('This page does not exist, or you do not have access to it.', $e);
        }
        if (self::isDiskFull($e)) {
            return new HttpException(
                507,
                'The server\'s disk is full. Nothing was changed. Tell whoever runs this site.',
                $e,
            );
        }
        if ($e instanceof QueryException && in_array((int) ($e->errorInfo[1] ?? $e->getCode()), self::AWAY, true)) {
            return new HttpException(
                503,
                'The database is not responding right now. Nothing is lost; try again in a few seconds.',
                $e,
                ['Retry-After' => '2'],
            );
        }
        if ($e instanceof HttpException) {
            return match (true) {
                $e->getStatusCode() === 419 => new HttpException(
                    419,
                    'This page has been open too long. Reload it.',
                    $e,
                ),
                $e instanceof ThrottleRequestsException => new HttpException(
                    429,
                    'Too many requests in the last minute. Wait a moment, then try again.',
                    $e,
                    $e->getHeaders(),
                ),
                default => $e,
            };
        }

        return new HttpException(500, '', $e);
    }

    public static function isDiskFull(Throwable $e): bool
    {
        return Str::contains($e->getMessage(), [
            'No space left on device',
            'out of free disk space',
            'errno: 28',
            'Disk full',
        ]) ||
            ($e instanceof QueryException && in_array((int) ($e->errorInfo[1] ?? 0), self::FULL, true));
    }

    /** A page with one sentence, or JSON. */
    public static function answer(HttpException $e, Request $request): Response
    {
        $sentence =
            $e->getMessage() !== '' && $e->getStatusCode() !== 500
                ? $e->getMessage()
                : 'Something went wrong on the server. Your earlier work is saved. Try again; if it happens again, tell whoever runs this site.';
        if ($request->expectsJson() && ! $request->header('X-Inertia')) {
            return response()->json(['message' => $sentence], $e->getStatusCode(), $e->getHeaders());
        }

        return response()->view(
            'failure',
            ['status' => $e->getStatusCode(), 'sentence' => $sentence],
            $e->getStatusCode(),
            $e->getHeaders(),
        );
    }
}
