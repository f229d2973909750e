<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\Core\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * A request that is refused for its form. What an area refuses is a Refusal of its own; both become problem documents
 * in Problems.
 */
final class Problem extends HttpException
{
    /**
     * @param int                   $status  400 to 599
     * @param Message               $says    for the person in front of the screen
     * @param string|null           $field   the field at fault, as the request names it
     * @param array<string, string> $headers
     */
    public function __construct(
        int $status,
        public readonly Message $says,
        public readonly ?string $field = null,
        array $headers = [],
    ) {
        parent::__construct($status, $says->code, null, $headers);
    }

    /** Not now: it was not done, and may be sent again in a second. */
    public static function busy(): self
    {
        return new self(503, new Message('http.busy'), null, ['Retry-After' => '1']);
    }
}
