<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

/**
 * What a student gets on a slip: who they are with, their number and what it carries, and their own way in.
 */
final readonly class Handout
{
    /**
     * @param int|null $group   the group's number; null: no seat yet
     * @param int|null $seat    from 1
     * @param string   $role    '' for none
     * @param string   $task    '' for none
     * @param int|null $picture the picture they know themselves by, from 0; null: they read
     * @param string   $pass    path of their own way in
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?int $group,
        public ?int $seat,
        public string $role,
        public string $task,
        public string $pass,
        public ?int $picture = null,
    ) {
    }
}
