<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

/**
 * A problem file that cannot be used. The message names the path in the file and what is wrong there, on one line.
 */
final class UnusableProblem extends \InvalidArgumentException
{
    public function __construct(public readonly string $path, string $what)
    {
        parent::__construct(
            ('' === $path ? '' : $path.': ').(string) preg_replace('/[\x00-\x1F\x7F]+/', ' ', $what),
        );
    }
}
