<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Calling\StudentCalled;
use FreshHuddle\App\Debrief\HoldUp\ShownReader;
use FreshHuddle\App\Debrief\Question\QuestionReader;
use FreshHuddle\App\Debrief\ShareOut\ReportReader;

/**
 * What a class sees while its work is talked about.
 */
final readonly class ClassDebriefReader
{
    public function __construct(
        private EntityManagerInterface $em,
        private ReportReader $reports,
        private ShownReader $shown,
        private QuestionReader $questions,
    ) {
    }

    public function forLesson(string $lessonId): ClassDebrief
    {
        $debrief = $this->em->find(Debrief::class, $lessonId);
        if (null === $debrief || null !== $debrief->lesson->endedAt) {
            return new ClassDebrief($debrief->revision ?? 0);
        }
        $call = $debrief->showsCalled
            ? $this->em->getRepository(StudentCalled::class)->findOneBy(['lesson' => $lessonId, 'current' => true])
            : null;

        return new ClassDebrief(
            $debrief->revision,
            $this->reports->forLesson($debrief->lesson),
            $this->shown->view($lessonId, $debrief->showsNames),
            null === $call ? null : new CalledView($call->student->id, $call->student->name),
            $this->questions->forAll($lessonId),
        );
    }
}
