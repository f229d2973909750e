<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * A file to keep, under a name every system can write.
 */
final class Download extends Response
{
    public function __construct(string $bytes, string $name, public readonly string $type)
    {
        $name = trim((string) preg_replace('~[/\\\\%\x00-\x1F:*?"<>|]+~u', ' ', $name));
        $plain = (string) preg_replace('/[^\x20-\x7E]+/', '_', $name);
        parent::__construct($bytes, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name, $plain),
            'Cache-Control' => 'no-store',
        ]);
    }
}
