<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

/**
 * The teacher who is signed in.
 */
final readonly class Me
{
    public function __construct(public string $id, public string $name, public string $email)
    {
    }

    public static function fromTeacher(Teacher $teacher): self
    {
        return new self($teacher->id, $teacher->name, $teacher->email);
    }
}
