<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson;

/**
 * Who did something in a lesson.
 */
final readonly class Actor
{
    private function __construct(public ActorKind $kind, public ?string $id)
    {
    }

    public static function teacher(string $id): self
    {
        return new self(ActorKind::Teacher, $id);
    }

    public static function student(string $id): self
    {
        return new self(ActorKind::Student, $id);
    }

    /**
     * It happened at its time, or was seen.
     */
    public static function clock(): self
    {
        return new self(ActorKind::Clock, null);
    }

    /**
     * As it was kept.
     *
     * @param string|null $id null for the clock
     */
    public static function read(ActorKind $kind, ?string $id): self
    {
        return new self($kind, $id);
    }
}
