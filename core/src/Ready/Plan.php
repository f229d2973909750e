<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

use FreshHuddle\Core\Lesson\SegmentKind;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Rooms\SourceKind;

/**
 * A lesson as it is planned, plainly: what the ready check looks at.
 */
final readonly class Plan
{
    /**
     * @param array<array-key, string>      $students      name by id, of those on the list who are here
     * @param list<PlannedGroup>            $groups
     * @param list<PlannedRoom>             $rooms         the main session's and the groups'
     * @param list<PlannedMaterial>         $materials
     * @param list<PlannedCopy>             $copies
     * @param list<array{SegmentKind, int}> $order         kind and minutes
     * @param int                           $minutes       of the lesson
     * @param int                           $roundMinutes  of the round that comes
     * @param SourceKind                    $source        where new rooms come from
     * @param string                        $openedBy      the role of whoever opens rooms; '' where nobody has to
     * @param int                           $mayDiffer     by how many the sizes of groups may differ
     * @param list<Message>                 $broken        rules that the floor breaks, in words
     * @param list<string>|null             $unused ids of students whose pass has never been used; null where nobody
     *     has used any, and once the class has worked in groups
     * @param Message|null                  $setUp         what carrying out the set-up list does; null: nothing
     * @param bool                          $settingUp     it is being carried out
     * @param list<PlannedPost>             $posts         those that are in the course portal
     * @param int|null                      $startsAt      when the lesson begins. Milliseconds since 1970
     * @param int                           $unsent        posts and letters that are to go out and have not
     * @param bool                          $cannotReadYet these students have to hear what to do
     * @param int                           $standingLinks for so many groups there are links that stay with the class
     * @param bool                          $talkOnly      no worksheet is meant
     * @param string|null                   $mixedBy what groups are mixed by in one press; null: they are made at
     *     random
     * @param PlannedSound|null             $sound         where groups meet in our own pages
     * @param list<string>                  $returned      names of students whose letter came back
     */
    public function __construct(
        public array $students = [],
        public array $groups = [],
        public array $rooms = [],
        public array $materials = [],
        public array $copies = [],
        public array $order = [],
        public int $minutes = 50,
        public int $roundMinutes = 20,
        public SourceKind $source = SourceKind::MeetingService,
        public string $openedBy = '',
        public int $mayDiffer = 1,
        public array $broken = [],
        public ?array $unused = null,
        public ?Message $setUp = null,
        public bool $settingUp = false,
        public array $posts = [],
        public ?int $startsAt = null,
        public int $unsent = 0,
        public array $returned = [],
        public bool $cannotReadYet = false,
        public bool $talkOnly = false,
        public ?string $mixedBy = null,
        public int $standingLinks = 0,
        public ?PlannedSound $sound = null,
    ) {
    }

    /**
     * @return list<string> ids of those of a group who are here
     */
    public function presentMembers(PlannedGroup $group): array
    {
        return array_values(
            array_filter($group->students, fn (string $student): bool => isset($this->students[$student])),
        );
    }

    /**
     * @return array<array-key, PlannedRoom> by place
     */
    public function places(): array
    {
        $places = [];
        foreach ($this->rooms as $room) {
            $places[$room->place] = $room;
        }

        return $places;
    }

    /**
     * @param list<string> $students ids
     *
     * @return list<string>
     */
    public function names(array $students): array
    {
        return array_map(fn (string $id): string => $this->students[$id] ?? $id, $students);
    }
}
