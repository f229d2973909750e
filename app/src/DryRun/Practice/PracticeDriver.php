<?php

declare(strict_types=1);

namespace FreshHuddle\App\DryRun\Practice;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Moving\MoveStore;
use FreshHuddle\App\Live\Presence\PresenceStore;
use FreshHuddle\App\Live\Signal\SignalStore;
use FreshHuddle\App\Roster\ClassReader;
use FreshHuddle\App\Roster\StudentView;
use FreshHuddle\Core\DryRun\Act;
use FreshHuddle\Core\DryRun\ActKind;
use FreshHuddle\Core\DryRun\Sight;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Evidence;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Signal\Signals;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Has the simulated students of a practice do what is due: shows each what their page would show, and has the hands do
 * what they say.
 */
final readonly class PracticeDriver
{
    /** A page gives a sign of life so often, in milliseconds. */
    private const SIGNS = 10_000;
    /** So many come at most, however large the class: real lessons run on the same machine. */
    private const MOST = 60;
    /** In every round one group asks for help after so many milliseconds, so that answering can be practised. */
    private const FIRST_CALL = 40_000;

    public function __construct(
        private NowReader $lessons,
        private ClassReader $classes,
        private FloorStore $floors,
        private MoveStore $moves,
        private SignalStore $signals,
        private PresenceStore $presence,
        private PracticeHands $hands,
        private Clock $clock,
    ) {
    }

    /**
     * @return bool whether there is more to come; false: the lesson is over, or gone
     */
    public function drive(Cast $cast): bool
    {
        $lesson = $this->lessons->forLesson($cast->lesson);
        if (null === $lesson || null !== $lesson->endedAt) {
            return false;
        }
        $now = $this->clock->ms();
        $state = $lesson->moments?->state() ?? RoundState::planned();
        $round = $state->phase($now)->showsGroups() ? $lesson->roundId : null;
        $floor = null === $round ? new Floor() : $this->floors->now($lesson->groupingId ?? '');
        $moves = null === $round ? new Moves() : $this->moves->forRound($round);
        $signals = null === $round ? new Signals() : $this->signals->forRound($round);
        $seen = $this->presence->ofClass($lesson->classId);
        $asks = $this->whoAsks($cast, $state, $floor, $signals, $seen, $now);
        foreach ($this->cast($lesson->classId) as $student) {
            $sight = self::sight($student, $lesson, $state, $floor, $moves, $signals, $now);
            $this->live(
                $cast,
                $student,
                $lesson,
                $sight,
                ($seen[$student->id] ?? new Evidence())->servicePlace,
                $now,
            );
            if ($student->id === $asks) {
                $this->hands->carryOut($cast, $student, $lesson, new Act(ActKind::Call));
            }
        }

        return true;
    }

    /**
     * @return list<StudentView> those who may come
     */
    private function cast(string $classId): array
    {
        $cast = array_filter(
            $this->classes->students($classId),
            static fn (StudentView $student): bool => !$student->absent && $student->seatable && !$student->guest,
        );

        return \array_slice(array_values($cast), 0, self::MOST);
    }

    private function live(
        Cast $cast,
        StudentView $student,
        LessonNow $lesson,
        Sight $sight,
        ?string $seenAt,
        int $now,
    ): void {
        $mind = $cast->mind($student->id, $student->name, $seenAt);
        $before = $cast->sights[$student->id] ?? null;
        if (null === $before || !$sight->isAs($before) || $now >= $mind->again) {
            $cast->sights[$student->id] = $sight;
            $shown = $sight->isWorking ? $this->hands->shown($cast, $student, $lesson, $sight) : $sight;
            foreach ($mind->look($shown, $now) as $act) {
                $this->hands->carryOut($cast, $student, $lesson, $act);
            }
        }
        $this->hands->knockAgain($cast, $student, $lesson, $now);
        if (
            $sight->isIn
            && !isset($cast->cut[$student->id])
            && $now - ($cast->signs[$student->id] ?? 0) >= self::SIGNS
        ) {
            $cast->signs[$student->id] = $now;
            $this->presence->pageIsAlive($student->id);
        }
    }

    /**
     * Who asks for help because it is time that somebody does: in a group that is not visited, and only where nobody
     * has asked in this round.
     *
     * @param array<string, Evidence> $seen
     */
    private function whoAsks(
        Cast $cast,
        RoundState $state,
        Floor $floor,
        Signals $signals,
        array $seen,
        int $now,
    ): ?string {
        if (Phase::Out !== $state->phase($now) || $cast->askedIn === $state->outAt) {
            return null;
        }
        $asks = null;
        foreach ($floor->groups as $group) {
            $signal = $signals->forGroup($group->id);
            if (null !== $signal->call) {
                $cast->askedIn = $state->outAt;

                return null;
            }
            foreach (null === $signal->visitor ? $group->students : [] as $student) {
                if (($seen[$student] ?? null)?->servicePlace === $group->id) {
                    $asks ??= $student;
                }
            }
        }
        if (null === $asks || $now - ($state->outAt ?? $now) < self::FIRST_CALL) {
            return null;
        }
        $cast->askedIn = $state->outAt;

        return $asks;
    }

    private static function sight(
        StudentView $student,
        LessonNow $lesson,
        RoundState $state,
        Floor $floor,
        Moves $moves,
        Signals $signals,
        int $now,
    ): Sight {
        $group = $floor->groupOf($student->id)?->id;
        $phase = $state->phase($now);
        $expected = $moves->expected($student->id, $group, $state, $now);
        $isOut = $phase->isOut();
        $signal = null === $group ? null : $signals->forGroup($group);

        return new Sight(
            $student->claimed,
            // Before it begins the main session is open.
            null === $lesson->kind ? MainSession::PLACE : $expected->place,
            $expected->since,
            $moves->forStudent($student->id)?->fetchedAt,
            false,
            $isOut && null !== $group && $expected->place === $group,
            Phase::ComingBack === $phase ? $state->comingBackUntil() : null,
            [],
            null !== $signal?->call,
            null !== $signal?->visitor,
        );
    }
}
