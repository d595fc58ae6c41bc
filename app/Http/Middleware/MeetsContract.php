<?php

namespace App\Http\Middleware;

use App\Http\Contract;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;
use LogicException;
use Symfony\Component\HttpFoundation\Response;

/**
 * At the door: what is sent is as the contract has it, or it is refused with the place and a sentence. In the tests,
 * what is answered is held against it too.
 */
class MeetsContract
{
    public function handle(Request $request, Closure $next): Response
    {
        $fault = Contract::fault($request);
        if ($fault !== null) {
            $field = explode('/', ltrim($fault->pointer, '/'))[0];
            throw ValidationException::withMessages([$field === '' ? 'request' : $field => $fault->sentence]);
        }
        $response = $next($request);
        if (app()->runningUnitTests() && $response->isOk()) {
            $this->hold($request, $response);
        }

        return $response;
    }

    private function hold(Request $request, Response $response): void
    {
        $content = method_exists($response, 'getOriginalContent') ? $response->getOriginalContent() : null;
        $page = match (true) {
            $response->headers->has('X-Inertia') => json_decode((string) $response->getContent()),
            $content instanceof View => json_decode((string) json_encode($content->getData()['page'] ?? null)),
            default => null,
        };
        $fault = match (true) {
            $page !== null => Contract::unlikePage($page->component, $page->props),
            $response instanceof JsonResponse => Contract::unlike(
                $request,
                json_decode((string) $response->getContent()),
            ),
            default => null,
        };
        if ($fault !== null) {
            throw new LogicException(
                Contract::name($request).($page === null ? '' : " ($page->component)").": $fault->pointer: $fault->sentence",
            );
        }
    }
}
