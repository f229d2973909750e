<?php

declare(strict_types=1);

namespace FreshHuddle\App\Areas;

/**
 * The areas of the job.
 */
final class AreaList
{
    /**
     * By name, in the order of the work: each area may use those before it. What is in it, for the API's description.
     */
    public const DESCRIPTIONS = [
        'account' => 'Signing in, passwords and devices of teachers.',
        'roster' => 'Classes, students, how they join, and who teaches or assists.',
        'grouping' => 'Groupings and the grouping desk.',
        'lesson' => 'Lessons, templates and the running order.',
        'rooms' => 'Where groups meet.',
        'materials' => 'Worksheets, copies, answers, pictures, recordings and print.',
        'ready' => 'Setting up, posts and emails, the calendar.',
        'live' => 'The running lesson.',
        'debrief' => 'Talking about the work: share-out, shown work, sums, calling on students, questions, the gallery.',
        'record' => 'What came of a lesson.',
        'dryrun' => 'The lesson with simulated students: rehearsed in a moment, or to practise.',
    ];

    /**
     * @return list<string> in the order of the work
     */
    public static function names(): array
    {
        return array_keys(self::DESCRIPTIONS);
    }
}
