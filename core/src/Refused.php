<?php

declare(strict_types=1);

namespace FreshHuddle\Core;

/**
 * What was asked for cannot be. Each area throws exceptions of its own; what they say is said to the person who asked.
 */
abstract class Refused extends \DomainException
{
    protected function __construct(public readonly Message $says)
    {
        parent::__construct($says->code);
    }
}
