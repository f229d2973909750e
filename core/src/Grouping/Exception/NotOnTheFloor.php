<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Exception;

final class NotOnTheFloor extends \OutOfBoundsException
{
    public static function student(string $id): self
    {
        return new self(\sprintf('Student %s has no seat here.', $id));
    }

    public static function group(string $id): self
    {
        return new self(\sprintf('There is no group %s here.', $id));
    }
}
