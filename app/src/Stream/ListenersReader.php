<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;

/**
 * Which devices hear something now. By hand, and in one round trip: every save asks.
 */
final readonly class ListenersReader
{
    public function __construct(private Connection $db)
    {
    }

    /**
     * @param list<Audience> $audiences
     *
     * @return array<string, list<string>> channels by what is said beside the message (JSON of Audience::subject)
     */
    public function forAudiences(array $audiences): array
    {
        $ids = [];
        foreach ($audiences as $audience) {
            $ids[$audience->kind->value][] = $audience->id;
        }
        $parts = $values = [];
        foreach ($ids as $kind => $some) {
            $parts[] = self::query(AudienceKind::from($kind));
            $values[] = array_values(array_unique($some));
        }
        if ([] === $parts) {
            return [];
        }
        $channels = [];
        $rows = $this->db->fetchAllNumeric(
            implode(' UNION ', $parts),
            $values,
            array_fill(0, \count($values), ArrayParameterType::STRING),
        );
        foreach ($rows as [$kind, $subject, $channel]) {
            \assert(\is_string($kind) && \is_string($subject) && \is_string($channel));
            $beside = json_encode(
                (object) self::audience(AudienceKind::from($kind), $subject)->subject(),
                \JSON_THROW_ON_ERROR,
            );
            $channels[$beside][] = $channel;
        }

        return $channels;
    }

    private static function audience(AudienceKind $kind, string $id): Audience
    {
        return match ($kind) {
            AudienceKind::Staff => Audience::staff($id),
            AudienceKind::Desk => Audience::desk($id),
            AudienceKind::Everybody => Audience::everybody($id),
            AudienceKind::SchoolClass => Audience::schoolClass($id),
            AudienceKind::Student => Audience::student($id),
        };
    }

    private static function query(AudienceKind $kind): string
    {
        return match ($kind) {
            AudienceKind::Staff => "SELECT 'staff', l.id::text, d.channel FROM lesson l
              JOIN school_class c ON c.id = l.class_id JOIN teacher_device d ON (d.teacher_id = c.teacher_id
              OR d.teacher_id IN (SELECT m.teacher_id FROM class_staff m WHERE m.class_id = c.id)) WHERE l.id IN (?)
              AND d.until > now()",
            AudienceKind::Desk => "SELECT 'desk', g.id::text, d.channel FROM grouping g
              JOIN school_class c ON c.id = g.class_id JOIN teacher_device d ON (d.teacher_id = c.teacher_id
              OR d.teacher_id IN (SELECT m.teacher_id FROM class_staff m WHERE m.class_id = c.id)) WHERE g.id IN (?)
              AND d.until > now()",
            AudienceKind::Everybody => "SELECT 'everybody', c.current_lesson_id::text, d.channel FROM school_class c
              JOIN student_device d ON d.class_id = c.id WHERE c.current_lesson_id IN (?) AND d.until > now()",
            AudienceKind::SchoolClass => "SELECT 'class', d.class_id::text, d.channel FROM student_device d
              WHERE d.class_id IN (?) AND d.until > now()",
            AudienceKind::Student => "SELECT 'student', d.student_id::text, d.channel FROM student_device d
              WHERE d.student_id IN (?) AND d.until > now()",
        };
    }
}
