<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

/**
 * Something in a file from elsewhere cannot be taken.
 */
final class UnusableFile extends \RuntimeException
{
    /**
     * @param string $where the field at fault, as students[3].name; '' where it is the whole
     */
    public function __construct(public readonly string $where, ?\Throwable $previous = null)
    {
        parent::__construct("The file cannot be taken at \"{$where}\".", 0, $previous);
    }
}
