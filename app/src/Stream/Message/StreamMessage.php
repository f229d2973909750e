<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * What goes over the stream: its public fields, with `kind` and what it is about (Audience::subject) beside them.
 */
interface StreamMessage
{
    /**
     * @return non-empty-string tells a page which message this is
     */
    public static function kind(): string;
}
