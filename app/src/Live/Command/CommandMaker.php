<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Presence\WhereaboutsReader;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Rooms\RoomReader;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\Actor;
use FreshHuddle\Core\Live\Command;
use FreshHuddle\Core\Live\Exception\CommandRefused;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Signal\Signals;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Makes a command of what was asked for, with what it needs to know of the lesson.
 */
final readonly class CommandMaker
{
    public function __construct(
        private NowReader $now,
        private WhereaboutsReader $whereabouts,
        private Clock $clock,
        private RoomReader $rooms,
        private EntityManagerInterface $em,
        private SignalStore $signals,
        private MoveStore $moves,
        private GroupMembers $members,
    ) {
    }

    /**
     * @throws CommandRefused
     * @throws LiveRefused    if it is about a group that is not on the floor
     */
    public function make(GiveCommand $request, Round $round, Actor $actor): Command
    {
        $members = null === $request->group ? [] : $this->members->inGroup($round, $request->group);
        if ([] === $members && ($request->kind->isOfGroup() || null !== $request->group)) {
            throw LiveRefused::unusable('live.group_gone', 'group');
        }
        $helps = CommandKind::Fetch === $request->kind ? $this->helps($round->lesson) : [];
        $students = array_values(array_unique([...$members, ...$request->students]));
        if (CommandKind::Say === $request->kind) {
            foreach ($request->groups as $group) {
                $sitting = $this->members->inGroup($round, $group);
                array_push(
                    $students,
                    ...[] === $sitting ? throw LiveRefused::unusable('live.group_gone', 'groups') : $sitting,
                );
            }
            $students = array_values(array_unique($students));
        }
        $this->mustBeOnList($round->lesson, $students);
        if (CommandKind::TakeAside === $request->kind && !$this->isPlace($round->lesson, $request->place ?? '')) {
            throw LiveRefused::unusable('live.no_such_place', 'place');
        }
        if ([] === $students && $request->kind->isOfStudents() && CommandKind::Fetch !== $request->kind) {
            throw LiveRefused::unusable('live.whom', 'students');
        }

        return $request->command(
            $round,
            new CommandContext(
                fn (): Signals => $this->signals->forRound($round->id),
                fn (): Moves => $this->moves->forRound($round->id),
                $actor->id ?? '',
                $students,
                [] === $students ? $helps : array_intersect_key($helps, array_flip($students)),
            ),
        );
    }

    /**
     * @return array<string, Help> how those are helped who are not where they should be
     */
    private function helps(Lesson $lesson): array
    {
        $now = $this->now->forLesson($lesson->id);

        return null === $now
            ? []
            : array_filter(array_map(Help::for(...), $this->whereabouts->inLesson($now, $this->clock->ms())));
    }

    private function isPlace(Lesson $lesson, string $place): bool
    {
        return MainSession::PLACE === $place || $this->rooms->isSideRoom($lesson->class->id, $place);
    }

    /**
     * @param list<string> $students
     *
     * @throws LiveRefused
     */
    private function mustBeOnList(Lesson $lesson, array $students): void
    {
        // Most commands are about nobody in particular.
        if (
            [] !== $students
            && \count($students) !==
                $this->em
                    ->getRepository(Student::class)
                    ->count(['class' => $lesson->class, 'id' => $students, 'removedAt' => null])
        ) {
            throw LiveRefused::unusable('roster.not_on_list', 'students');
        }
    }
}
