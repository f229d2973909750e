<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\DryRun\Exception\DryRunRefused;
use FreshHuddle\App\Lesson\LessonAccess;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A lesson to practise, with simulated students.
 */
#[Route('/api/staff/lessons/{id}/practice', requirements: ['id' => Requirement::UUID])]
final readonly class PracticeController
{
    public function __construct(private LessonAccess $access, private Practices $practices)
    {
    }

    /** Begins to practise a lesson, or goes on with it; another practice of this teacher is over. */
    #[Route('', methods: ['POST'])]
    public function begin(#[CurrentUser] Teacher $teacher, string $id): PracticeView
    {
        $lesson = $this->access->lesson($teacher, $id);
        if ($lesson->template || $lesson->class->isPractice) {
            throw DryRunRefused::unusable('dryrun.not_to_practise');
        }

        return self::view($this->practices->begin($teacher, $lesson));
    }

    /** Leaves the practice, and says which lesson it was of; everything in it goes. */
    #[Route('', methods: ['DELETE'])]
    public function leave(#[CurrentUser] Teacher $teacher, string $id): PracticeView
    {
        $practice = $this->practices->of($this->access->lesson($teacher, $id)) ?? throw DryRunRefused::missing();
        $view = self::view($practice);
        $this->practices->leave($practice);

        return $view;
    }

    private static function view(DryRun $dryRun): PracticeView
    {
        return new PracticeView($dryRun->lesson->id, $dryRun->practice->id, $dryRun->beganAt);
    }
}
