<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Something to be seen or heard as it goes out: for nobody but who asked, and as nothing but what it is. A part of it
 * where a part is asked for (RFC 9110, 14.2), as telephones do before they play.
 */
final class Bytes extends Response
{
    public function __construct(string $bytes, string $type)
    {
        parent::__construct($bytes, 200, [
            'Content-Type' => $type,
            'Cache-Control' => 'private, max-age=86400, immutable',
            'X-Content-Type-Options' => 'nosniff',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
            'Accept-Ranges' => 'bytes',
        ]);
    }

    public function prepare(Request $request): static
    {
        parent::prepare($request);
        $whole = (string) $this->getContent();
        $size = \strlen($whole);
        $asked = $request->headers->get('Range', '');
        if (
            200 === $this->getStatusCode()
            && 1 === preg_match('/^bytes=(\d{0,10})-(\d{0,10})$/D', $asked, $range)
            && ('' !== $range[1] || '' !== $range[2])
        ) {
            [$from, $to] =
                '' === $range[1]
                    ? [max(0, $size - (int) $range[2]), $size - 1]
                    : [(int) $range[1], '' === $range[2] ? $size - 1 : min((int) $range[2], $size - 1)];
            if ($from > $to) {
                $this->setStatusCode(416)->setContent('');
                $this->headers->set('Content-Range', "bytes */{$size}");
            } else {
                $this->setStatusCode(206)->setContent(substr($whole, $from, $to - $from + 1));
                $this->headers->set('Content-Range', "bytes {$from}-{$to}/{$size}");
            }
        }

        return $this;
    }
}
