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
     */
    public function __construct(public EventKind $kind, public int $at, public array $data = [])
    {
    }

    /**
     * Whom of the students it concerns, as an event keeps it in `to`: so that one of them is found by `|id|`.
     *
     * @param list<string> $students
     */
    public static function to(array $students): string
    {
        return '|'.implode('|', $students).'|';
    }

    /**
     * The same, with whom of the students it concerns.
     *
     * @param list<string> $students
     */
    public function addressed(array $students): self
    {
        return new self($this->kind, $this->at, ['to' => self::to($students)] + $this->data);
    }

    /**
     * @return list<string> students whom it concerns alone; none: it is nobody's in particular
     */
    public function addressees(): array
    {
        $to = trim($this->text('to'), '|');

        return '' === $to ? [] : explode('|', $to);
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
