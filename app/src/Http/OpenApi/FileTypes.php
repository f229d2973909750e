<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\OpenApi;

/**
 * The media types of the file that a controller method returns, for the description of the API.
 */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class FileTypes
{
    /** @var non-empty-list<string> */
    public array $types;

    public function __construct(string $type, string ...$more)
    {
        $this->types = [$type, ...array_values($more)];
    }
}
