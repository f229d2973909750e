<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream\Message;

/**
 * A message that reaches whoever listens at that moment and nobody later: nothing of it stays in the stream. A hint
 * that is stored goes out after it, so that whoever missed it asks.
 */
interface UnstoredMessage extends StreamMessage
{
}
