<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Question;

/**
 * The body of a request: closes a question, opens it again, shows what was answered. What is null stays as it is.
 */
final readonly class EditQuestion
{
    public function __construct(public ?bool $open = null, public ?bool $shown = null)
    {
    }
}
