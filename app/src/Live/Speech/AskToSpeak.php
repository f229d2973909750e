<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Speech;

/**
 * The body of a request: a student asks to speak, or no longer does.
 */
final readonly class AskToSpeak
{
    public function __construct(public bool $asks)
    {
    }
}
