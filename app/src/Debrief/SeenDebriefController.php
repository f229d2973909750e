<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief;

use FreshHuddle\App\Debrief\HoldUp\ShownMedia;
use FreshHuddle\App\Debrief\Question\AnswerQuestion;
use FreshHuddle\App\Debrief\Question\MyAnswer;
use FreshHuddle\App\Debrief\Question\Questions;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\File\Bytes;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Live\ClassPage\ClassPageAccess;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Stream\StreamAddress;
use FreshHuddle\App\Stream\StreamView;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * What a class sees while its work is talked about: on students' pages and on the wall.
 */
#[Route(
    '/api',
    requirements: [
        'token' => SignedAddress::PATTERN,
        'media' => Requirement::UUID,
        'question' => Requirement::UUID,
    ],
)]
final readonly class SeenDebriefController
{
    public function __construct(
        private ClassDebriefReader $reader,
        private ClassPageAccess $classPages,
        private ShownMedia $media,
        private StreamAddress $streams,
        private Questions $questions,
    ) {
    }

    /** Shows who reports, and work that is shown to everybody. */
    #[Route('/student/debrief', methods: ['GET'])]
    public function forStudent(#[CurrentUser] StudentUser $student): ClassDebrief
    {
        return $this->reader->forStudent($student);
    }

    /** Says what the student has answered to a quick question. */
    #[Route('/student/questions/{question}/answer', methods: ['GET'])]
    public function answered(#[CurrentUser] StudentUser $student, string $question): MyAnswer
    {
        return $this->questions->mine($question, $student->id, $student->lessonId ?? '');
    }

    /** Answers a quick question; the last answer counts. */
    #[Route('/student/questions/{question}/answer', methods: ['PUT'])]
    public function answer(
        #[CurrentUser]
        StudentUser $student,
        string $question,
        #[Body]
        AnswerQuestion $request,
    ): MyAnswer {
        $this->questions->answer($question, $student->id, $student->lessonId ?? '', $request->answer);

        return $this->questions->mine($question, $student->id, $student->lessonId ?? '');
    }

    /** Gives a picture that stands in work that is shown to everybody. */
    #[Route('/student/shown/media/{media}', methods: ['GET'])]
    #[FileTypes('image/*', 'audio/*')]
    public function mediaForStudent(#[CurrentUser] StudentUser $student, string $media): Bytes
    {
        return $this->media->bytes($student->lessonId ?? '', $media);
    }

    /** Shows who reports, and work that is shown to everybody, on the class page. */
    #[Route('/class-page/{token}/debrief', methods: ['GET'])]
    public function forClassPage(string $token): ClassDebrief
    {
        return $this->reader->forLesson($this->classPages->lesson($token)->lessonId);
    }

    /** Gives a picture of shown work to the class page. */
    #[Route('/class-page/{token}/shown/media/{media}', methods: ['GET'])]
    #[FileTypes('image/*', 'audio/*')]
    public function mediaForClassPage(string $token, string $media): Bytes
    {
        return $this->media->bytes($this->classPages->lesson($token)->lessonId, $media);
    }

    /** Says where the class page listens. */
    #[Route('/class-page/{token}/stream', methods: ['GET'])]
    public function streamForClassPage(string $token): StreamView
    {
        return $this->streams->forChannel($this->classPages->channel($token));
    }
}
