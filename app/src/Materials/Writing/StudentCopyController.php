<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Roster\Device\StudentUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * A student's copies: reading them, and writing in them.
 */
#[Route(
    '/api/student/copies',
    requirements: ['id' => Requirement::UUID, 'slot' => '[a-z0-9-]{1,40}', 'owner' => Requirement::UUID],
),]
final readonly class StudentCopyController
{
    public function __construct(private CopyWriter $writer, private WorkReader $reader, private Clock $clock)
    {
    }

    /**
     * Lists the student's worksheets of earlier lessons.
     *
     * @return list<EarlierCopy>
     */
    #[Route('', methods: ['GET'])]
    public function earlier(#[CurrentUser] StudentUser $student): array
    {
        return $this->reader->earlier($student->id, $student->classId, $this->clock->ms());
    }

    /** Shows the student a copy. */
    #[Route('/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] StudentUser $student, string $id): CopyView
    {
        return $this->writer->read($id, $student->id);
    }

    /** Saves an answer; what several write at once is merged. */
    #[Route('/{id}/slots/{slot}', methods: ['PUT'])]
    public function save(
        #[CurrentUser]
        StudentUser $student,
        string $id,
        string $slot,
        #[Body(200_000)]
        SaveSlot $request,
    ): AnswerView {
        return $this->writer->save($id, $slot, $student->id, $request);
    }

    /**
     * Lists the earlier versions of an answer.
     *
     * @return list<StepView>
     */
    #[Route('/{id}/slots/{slot}/history/{owner}', methods: ['GET'])]
    public function history(#[CurrentUser] StudentUser $student, string $id, string $slot, string $owner): array
    {
        return $this->writer->history($id, $slot, $owner, $student->id);
    }

    /** Brings an earlier version of an answer back. */
    #[Route('/{id}/slots/{slot}/history/{owner}', methods: ['POST'])]
    public function bringBack(
        #[CurrentUser]
        StudentUser $student,
        string $id,
        string $slot,
        string $owner,
        #[Body]
        BringBack $request,
    ): AnswerView {
        return $this->writer->bringBack($id, $slot, $owner, $student->id, $request->revision);
    }
}
