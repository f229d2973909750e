<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

/**
 * Whom a message is for. Which devices these are now is looked up when it is said (ListenersReader).
 */
final readonly class Audience
{
    private function __construct(public AudienceKind $kind, public string $id)
    {
    }

    /**
     * Teachers who may see a lesson.
     */
    public static function staff(string $lessonId): self
    {
        return new self(AudienceKind::Staff, $lessonId);
    }

    /**
     * Teachers who may see a grouping.
     */
    public static function desk(string $groupingId): self
    {
        return new self(AudienceKind::Desk, $groupingId);
    }

    /**
     * All students whose class comes into this lesson now. Nothing of one group belongs here.
     */
    public static function everybody(string $lessonId): self
    {
        return new self(AudienceKind::Everybody, $lessonId);
    }

    /**
     * All students of a class, whatever lesson they are in. Nothing of one group belongs here.
     */
    public static function schoolClass(string $classId): self
    {
        return new self(AudienceKind::SchoolClass, $classId);
    }

    public static function student(string $studentId): self
    {
        return new self(AudienceKind::Student, $studentId);
    }

    /**
     * Pages on the wall that show a lesson: whoever has their address hears them. Nothing of one group belongs here
     * that is not shown to everybody.
     */
    public static function classPage(string $lessonId): self
    {
        return new self(AudienceKind::ClassPage, $lessonId);
    }

    /**
     * @return array<string, string> what the message is about, for a page that hears of several things
     */
    public function subject(): array
    {
        return match ($this->kind) {
            AudienceKind::Staff, AudienceKind::Everybody, AudienceKind::ClassPage => ['lesson' => $this->id],
            AudienceKind::Desk => ['grouping' => $this->id],
            AudienceKind::SchoolClass, AudienceKind::Student => [],
        };
    }
}
