<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * Something that happened in a lesson.
 */
final readonly class Event
{
    /**
     * @param int                                 $at   milliseconds since 1970, server's clock
     * @param array<string, int|string|bool|null> $data what the kind needs; moments in milliseconds since 1970
     * @param list<string>|null                   $to   students whom it concerns alone; null: nobody in particular
     */
    public function __construct(
        public EventKind $kind,
        public int $at,
        public array $data = [],
        public ?array $to = null,
    ) {
    }

    /**
     * The same, with whom of the students it concerns.
     *
     * @param list<string> $students
     */
    public function addressed(array $students): self
    {
        return new self($this->kind, $this->at, $this->data, $students);
    }

    public function moment(string $key): ?int
    {
        $value = $this->data[$key] ?? null;

        return \is_int($value) ? $value : null;
    }

    public function text(string $key): string
    {
        $value = $this->data[$key] ?? '';

        return \is_string($value) ? $value : '';
    }
}
