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
