<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

/**
 * It is no archive, or unpacks to too much.
 */
final class UnreadableZip extends \RuntimeException
{
    public function __construct(public readonly bool $tooLarge)
    {
        parent::__construct($tooLarge ? 'It unpacks to too much.' : 'It is no archive.');
    }
}
