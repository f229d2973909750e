<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use FreshHuddle\App\Stream\AudienceKind;
use FreshHuddle\App\Stream\Listeners;

/**
 * Devices of students: of one, of a class, of whoever comes into a lesson now.
 */
final readonly class StudentListeners implements Listeners
{
    public static function queries(): array
    {
        return [
            AudienceKind::Everybody->value => "SELECT 'everybody', c.current_lesson_id::text, d.channel FROM school_class c
              JOIN student_device d ON d.class_id = c.id WHERE c.current_lesson_id IN (?) AND d.until > now()",
            AudienceKind::SchoolClass->value => "SELECT 'class', d.class_id::text, d.channel FROM student_device d
              WHERE d.class_id IN (?) AND d.until > now()",
            AudienceKind::Student->value => "SELECT 'student', d.student_id::text, d.channel FROM student_device d
              WHERE d.student_id IN (?) AND d.until > now()",
        ];
    }
}
