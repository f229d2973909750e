<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\HttpFoundation\Cookie;

/**
 * An answer with cookies beside it.
 *
 * @template-covariant T of object
 */
final readonly class ResponseWithCookies
{
    /**
     * @param T            $answer  a response DTO
     * @param list<Cookie> $cookies
     */
    public function __construct(public object $answer, public array $cookies)
    {
    }
}
