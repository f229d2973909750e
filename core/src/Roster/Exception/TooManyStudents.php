<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Exception;

final class TooManyStudents extends \LengthException
{
    public static function inOneClass(int $wanted, int $limit): self
    {
        return new self(\sprintf('That would make %d students; a class holds %d. Nothing was added.', $wanted, $limit));
    }
}
