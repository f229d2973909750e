<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

use Symfony\Component\HttpKernel\Attribute\ValueResolver;

/**
 * Marks the argument of a controller that is read from the body of the request (BodyResolver).
 */
#[\Attribute(\Attribute::TARGET_PARAMETER)]
final class Body extends ValueResolver
{
    /** What most requests need at the most. */
    public const USUAL = 16_384;

    /**
     * @param int $most bytes this route can need at the most; more is refused unread
     */
    public function __construct(public readonly int $most = self::USUAL)
    {
        parent::__construct(BodyResolver::class);
    }
}
