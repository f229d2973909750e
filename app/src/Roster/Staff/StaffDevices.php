<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Staff;

/**
 * The devices of everybody who teaches or assists in a class, as part of a query of whatever belongs to the class.
 */
final class StaffDevices
{
    /**
     * Joins `teacher_device d` to `school_class c`; without devices whose sign-in has run out.
     */
    public const JOIN = 'JOIN teacher_device d ON d.until > now() AND (d.teacher_id = c.teacher_id
        OR d.teacher_id IN (SELECT m.teacher_id FROM class_staff m WHERE m.class_id = c.id))';
}
