<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

/**
 * What can be sent.
 */
enum DeliveryKind: string
{
    case Post = 'post';
    case Letter = 'letter';
}
