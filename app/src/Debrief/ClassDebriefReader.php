<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Debrief\Calling\StudentCall;
use FreshHuddle\App\Debrief\Gallery\Gallery;
use FreshHuddle\App\Debrief\Gallery\GalleryReader;
use FreshHuddle\App\Debrief\Gallery\OpenGalleryView;
use FreshHuddle\App\Debrief\HoldUp\ShownReader;
use FreshHuddle\App\Debrief\Question\QuestionReader;
use FreshHuddle\App\Debrief\ShareOut\ReportReader;
use FreshHuddle\App\Roster\Device\StudentUser;

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
        private GalleryReader $galleries,
    ) {
    }

    public function forLesson(string $lessonId): ClassDebrief
    {
        $debrief = $this->em->find(Debrief::class, $lessonId);
        if (null === $debrief) {
            return new ClassDebrief(0);
        }
        $gallery = self::open($this->galleries->ofLesson($lessonId));
        if (null !== $debrief->lesson->endedAt) {
            return new ClassDebrief($debrief->revision, gallery: $gallery);
        }
        $call = $debrief->showsCalled
            ? $this->em->getRepository(StudentCall::class)->findOneBy(['lesson' => $lessonId, 'current' => true])
            : null;

        return new ClassDebrief(
            $debrief->revision,
            $this->reports->forLesson($debrief->lesson),
            $this->shown->view($lessonId, $debrief->showsNames),
            null === $call ? null : new CalledView($call->student->id, $call->student->name),
            $this->questions->forAll($lessonId),
            $gallery,
        );
    }

    /**
     * For a student: also where no lesson is on a gallery may be open.
     */
    public function forStudent(StudentUser $student): ClassDebrief
    {
        $now = null === $student->lessonId ? new ClassDebrief(0) : $this->forLesson($student->lessonId);

        return null === $now->gallery
            ? $now->withGallery(self::open($this->galleries->ofClass($student->classId)))
            : $now;
    }

    private static function open(?Gallery $gallery): ?OpenGalleryView
    {
        return null === $gallery ? null : new OpenGalleryView($gallery->remarks, $gallery->until);
    }
}
