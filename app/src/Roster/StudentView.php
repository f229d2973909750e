<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

/**
 * A student as the teacher's class list shows them.
 */
final readonly class StudentView
{
    /**
     * @param bool                 $claimed    a device has chosen this name
     * @param bool                 $seatable   false for a second device, or the teacher's own sign-in
     * @param string|null          $table      the table of the seating plan
     * @param list<AttributeValue> $attributes
     * @param list<string>         $tags
     * @param string|null          $email      where they get mail
     */
    public function __construct(
        public string $id,
        public string $name,
        public bool $absent,
        public bool $claimed,
        public bool $seatable = true,
        public ?string $schoolId = null,
        public ?string $table = null,
        public array $attributes = [],
        public array $tags = [],
        public ?string $email = null,
    ) {
    }

    /**
     * The same student by another name.
     */
    public function called(string $name): self
    {
        return new self($this->id, $name, $this->absent, $this->claimed, $this->seatable, $this->schoolId, $this->table, $this->attributes, $this->tags, $this->email);
    }
}
