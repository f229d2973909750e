<?php

declare(strict_types=1);

namespace FreshHuddle\App\Watch\Part;

use FreshHuddle\App\Watch\Part;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/**
 * What tells open pages that something has changed; without it they ask every few seconds.
 */
final readonly class StreamPart implements Part
{
    public function __construct(private HttpClientInterface $streamClient)
    {
    }

    public function name(): string
    {
        return 'stream';
    }

    public function isNeeded(): bool
    {
        return false;
    }

    public function isUp(): bool
    {
        try {
            return 200 === $this->streamClient->request('GET', '/status')->getStatusCode();
        } catch (ExceptionInterface) {
            return false;
        }
    }
}
