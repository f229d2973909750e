<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * How much a finding matters.
 */
enum Weight: string
{
    /** Students would be sent out into something that does not work. */
    case Stop = 'stop';
    case Look = 'look';
}
