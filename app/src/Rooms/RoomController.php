<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Lesson\LessonAccess;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Rooms\Body\EditRoom;
use FreshHuddle\App\Rooms\Body\MakeSideRoom;
use FreshHuddle\App\Rooms\Body\RoomTried;
use FreshHuddle\App\Rooms\Body\TakeAway;
use FreshHuddle\App\Rooms\Link\LinkLists;
use FreshHuddle\App\Rooms\Link\PastedLinkView;
use FreshHuddle\App\Rooms\Link\PasteLinks;
use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Rooms\Source\RoomSourceView;
use FreshHuddle\App\Rooms\Source\SaveRoomSource;
use FreshHuddle\App\Roster\ClassAccess;
use FreshHuddle\App\Roster\Staff\ForAssistants;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * The rooms of a lesson's groups.
 */
#[Route('/api/staff', requirements: ['id' => Requirement::UUID])]
final readonly class RoomController
{
    public function __construct(
        private Rooms $rooms,
        private RoomEntry $entry,
        private RoomSources $sources,
        private LinkLists $lists,
        private RoomReader $reader,
        private LessonAccess $lessonAccess,
        private ClassAccess $classAccess,
        private RoomAccess $roomAccess,
        private FloorStore $floors,
    ) {
    }

    /**
     * Makes the rooms of a round.
     *
     * @return list<RoomView>
     */
    #[Route('/rounds/{id}/rooms', methods: ['POST'])]
    #[ForAssistants]
    public function make(#[CurrentUser] Teacher $teacher, string $id): array
    {
        $round = $this->lessonAccess->round($teacher, $id);
        $this->rooms->make($round);

        return $this->ofRound($round);
    }

    /** Says where the class meets. */
    #[Route('/classes/{id}/room-source', methods: ['GET'])]
    #[ForAssistants]
    public function source(#[CurrentUser] Teacher $teacher, string $id): RoomSourceView
    {
        return $this->sources->view($this->classAccess->schoolClass($teacher, $id));
    }

    /** Chooses where the class meets and what its rooms allow. */
    #[Route('/classes/{id}/room-source', methods: ['PUT'])]
    public function setSource(
        #[CurrentUser]
        Teacher $teacher,
        string $id,
        #[Body]
        SaveRoomSource $request,
    ): RoomSourceView {
        $class = $this->classAccess->schoolClass($teacher, $id);
        $this->rooms->setSource($class, $request);

        return $this->sources->view($class);
    }

    /**
     * Says what each line of a pasted list of links would do.
     *
     * @return list<PastedLinkView>
     */
    #[Route('/rounds/{id}/links/read', methods: ['POST'])]
    public function readLinks(#[CurrentUser] Teacher $teacher, string $id, #[Body] PasteLinks $request): array
    {
        return $this->lists->read($this->lessonAccess->round($teacher, $id), $request->text);
    }

    /**
     * Uses a pasted list of links.
     *
     * @return list<RoomView>
     */
    #[Route('/rounds/{id}/links', methods: ['PUT'])]
    public function useLinks(#[CurrentUser] Teacher $teacher, string $id, #[Body] PasteLinks $request): array
    {
        $round = $this->lessonAccess->round($teacher, $id);
        $this->lists->use($round, $request->text);

        return $this->ofRound($round);
    }

    /** Adds a side room. */
    #[Route('/classes/{id}/side-rooms', methods: ['POST'])]
    public function addSideRoom(#[CurrentUser] Teacher $teacher, string $id, #[Body] MakeSideRoom $request): void
    {
        $this->rooms->addSideRoom($this->classAccess->schoolClass($teacher, $id), $request->name);
    }

    /** Changes a room: its name, link or permissions. */
    #[Route('/rooms/{id}', methods: ['PATCH'])]
    public function edit(#[CurrentUser] Teacher $teacher, string $id, #[Body] EditRoom $request): void
    {
        $this->rooms->edit($this->roomAccess->room($teacher, $id), $request);
    }

    /** Says whether a room's link led to the right place. */
    #[Route('/rooms/{id}/tried', methods: ['POST'])]
    #[ForAssistants]
    public function tried(#[CurrentUser] Teacher $teacher, string $id, #[Body] RoomTried $request): void
    {
        $this->entry->tried($this->roomAccess->room($teacher, $id), $request->was);
    }

    /** Removes a side room. */
    #[Route('/rooms/{id}/take-away', methods: ['POST'])]
    public function takeAway(#[CurrentUser] Teacher $teacher, string $id, #[Body] TakeAway $request): void
    {
        $this->rooms->takeAway($this->roomAccess->room($teacher, $id), $request->sure);
    }

    /** Leads a teacher or an assistant into a room. */
    #[Route('/rooms/{id}/way', methods: ['GET'])]
    public function way(#[CurrentUser] Teacher $teacher, string $id): RedirectResponse
    {
        $link = $this->entry->way($this->roomAccess->room($teacher, $id), $teacher);

        return new RedirectResponse(
            $link,
            headers: ['Cache-Control' => 'no-store', 'Referrer-Policy' => 'no-referrer'],
        );
    }

    /** Gives a second or two of what can be heard in a room. */
    #[Route('/rooms/{id}/sound', methods: ['GET'])]
    #[FileTypes('audio/wav')]
    public function sound(#[CurrentUser] Teacher $teacher, string $id): Response
    {
        return new Response($this->entry->sound($this->roomAccess->room($teacher, $id)), 200, [
            'Content-Type' => 'audio/wav',
            'Cache-Control' => 'no-store',
        ]);
    }

    /** Says that a teacher has opened the room for a group that waits. */
    #[Route('/rooms/{id}/opened', methods: ['POST'])]
    #[ForAssistants]
    public function opened(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $room = $this->roomAccess->room($teacher, $id);
        $this->entry->opened($room->id, $room->class->id);
    }

    /** Tries again to make a room. */
    #[Route('/rooms/{id}/retry', methods: ['POST'])]
    #[ForAssistants]
    public function retry(#[CurrentUser] Teacher $teacher, string $id): void
    {
        $this->rooms->retry($this->roomAccess->room($teacher, $id));
    }

    /**
     * @return list<RoomView>
     */
    private function ofRound(Round $round): array
    {
        return $this->reader->ofRound(
            $round->grouping->id,
            $round->lesson->class->id,
            $this->floors->now($round->grouping->id),
        );
    }
}
