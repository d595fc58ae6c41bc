<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use OddSpark\Appliance\DocumentFile;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** How large and how deep a request may be; text is UTF-8. Only a model or a wire list that is taken in is large. */
class BoundedRequest
{
    private const MOST_BYTES = 200_000;

    /** Where files come in, with what their JSON adds. */
    private const LARGE = [
        'drafts' => DocumentFile::MAX_BYTES + 400_000,
        'drafts/*/edits' => 1_000_000,
        'courses/*/roster/read' => 1_000_000,
    ];

    private const MOST_DEPTH = 40;

    private const MOST_QUERY = 4000;

    public function handle(Request $request, Closure $next): Response
    {
        $most = self::MOST_BYTES;
        foreach (self::LARGE as $path => $bytes) {
            $most = $request->is($path) ? $bytes : $most;
        }
        $body = $request->getContent();
        if (strlen($body) > $most) {
            throw new HttpException(
                413,
                "The request is larger than $most bytes, the most allowed here. Nothing was changed.",
            );
        }
        if (strlen((string) $request->server('QUERY_STRING')) > self::MOST_QUERY) {
            throw new HttpException(
                414,
                'The address is longer than '.self::MOST_QUERY.' characters, the most allowed.',
            );
        }
        if (
            ! mb_check_encoding($body, 'UTF-8') ||
            ! mb_check_encoding(rawurldecode((string) $request->server('QUERY_STRING')), 'UTF-8')
        ) {
            throw new HttpException(422, 'The request is not UTF-8 text.');
        }
        if ($body !== '' && $request->isJson()) {
            $value = json_decode($body, true, self::MOST_DEPTH);
            if (json_last_error() !== JSON_ERROR_NONE) {
                throw new HttpException(
                    422,
                    json_last_error() === JSON_ERROR_DEPTH
                        ? 'The request is nested deeper than '.self::MOST_DEPTH.' levels.'
                        : 'The request is not JSON: '.json_last_error_msg().'.',
                );
            }
            if (! is_array($value)) {
                throw new HttpException(422, 'The request must be a JSON object.');
            }
        }

        return $next($request);
    }
}
