<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Roster\Column\AttributeValue;

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
     * @param bool                 $guest      takes part in one lesson only, and leaves the list when that ends
     * @param int|null             $picture    the picture they know themselves by, from 0; null: they read
     * @param string|null          $guestOf    the lesson a guest takes part in; null: the one that ends next
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
        public bool $guest = false,
        public ?string $guestOf = null,
        public ?int $picture = null,
    ) {
    }

    /**
     * Whether they take part in a lesson: everybody on the list does, a guest in one lesson only.
     */
    public function takesPartIn(string $lessonId): bool
    {
        return !$this->guest || null === $this->guestOf || $this->guestOf === $lessonId;
    }

    /**
     * The same student by another name.
     */
    public function called(string $name): self
    {
        return new self(
            $this->id,
            $name,
            $this->absent,
            $this->claimed,
            $this->seatable,
            $this->schoolId,
            $this->table,
            $this->attributes,
            $this->tags,
            $this->email,
            $this->guest,
            $this->guestOf,
            $this->picture,
        );
    }
}
