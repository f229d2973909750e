<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Log;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\WorkGroup;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\Order\Segment;
use FreshHuddle\App\Live\EventStore;
use FreshHuddle\App\Rooms\Room;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\Core\Lesson\ActorKind;
use FreshHuddle\Core\Lesson\Event;
use FreshHuddle\Core\Lesson\EventKind;
use FreshHuddle\Core\Live\Moving\Help;
use FreshHuddle\Core\Live\Signal\CallAbout;
use FreshHuddle\Core\Live\Signal\ChalkMark;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Who did what in a lesson, as its events say. Where students were is not in it: that is seen, not done.
 */
final readonly class LessonLog
{
    private const AT_ONCE = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private EventStore $events,
        private Staff $staff,
    ) {
    }

    /**
     * @return list<LogEntry> the latest 500, newest first
     */
    public function forLesson(Lesson $lesson): array
    {
        $events = $this->events->latest($lesson->id, self::AT_ONCE);
        $named = [];
        foreach ($events as ['event' => $event]) {
            foreach (['group', 'fromGroup', 'toGroup', 'student', 'segment', 'place'] as $key) {
                $named[] = $event->text($key);
            }
            array_push($named, ...explode('|', $event->text('groups')), ...self::single($event));
        }
        $ids = array_values(array_unique(array_filter($named, static fn (string $id): bool => \strlen($id) > 30)));
        $groups = $this->names(WorkGroup::class, $ids);
        $students = $this->names(Student::class, [
            ...$ids,
            ...array_values(
                array_filter(array_map(static fn (array $row): ?string => $row['actor']->id, $events), \is_string(...)),
            ),
        ]);
        $rooms = $this->names(Room::class, $ids);
        $segments = [];
        foreach ($this->em->getRepository(Segment::class)->findBy(['lesson' => $lesson]) as $segment) {
            $segments[$segment->id] = $segment->kind;
        }
        $staff = $this->staff->names($lesson->class);

        return array_map(static function (array $row) use ($groups, $students, $rooms, $segments, $staff): LogEntry {
            $event = $row['event'];
            $actor = $row['actor'];
            $place = $event->text('place');

            return new LogEntry(
                $row['seq'],
                $event->at,
                $event->kind,
                match ($actor->kind) {
                    ActorKind::Teacher => $staff[$actor->id ?? ''] ?? '?',
                    ActorKind::Student => $students[$actor->id ?? ''] ?? '?',
                    ActorKind::Clock => '',
                },
                $groups[$event->text('group')] ?? ($groups[$event->text('toGroup')] ?? null),
                $groups[$event->text('fromGroup')] ?? null,
                array_values(array_intersect_key($groups, array_flip(explode('|', $event->text('groups'))))),
                array_values(array_intersect_key($students, array_flip(self::single($event)))),
                $students[$event->text('student')] ?? null,
                MainSession::PLACE === $place ? $place : $rooms[$place] ?? null,
                '' === $event->text('text') ? null : $event->text('text'),
                $segments[$event->text('segment')] ?? null,
                CallAbout::tryFrom($event->text('about')),
                ChalkMark::tryFrom($event->text('mark')),
                Help::tryFrom($event->text('help')),
                $event->moment('endsAt') ?? ($event->moment('backAt') ?? $event->moment('from')),
            );
        }, $events);
    }

    /**
     * @return list<string> ids of the students a notice went to, where it went to no group
     */
    private static function single(Event $event): array
    {
        return EventKind::NoticeSaid === $event->kind && '' === $event->text('groups')
            ? $event->to ?? []
            : [];
    }

    /**
     * @param class-string $entity
     * @param list<string> $ids
     *
     * @return array<string, string> by id
     */
    private function names(string $entity, array $ids): array
    {
        /** @var list<array{id: string, name: string}> $rows */
        $rows =
            [] === $ids
                ? []
                : $this->em
                    ->createQueryBuilder()
                    ->select('x.id', 'x.name')
                    ->from($entity, 'x')
                    ->where('x.id IN (:ids)')
                    ->setParameter('ids', $ids)
                    ->getQuery()
                    ->getResult();

        return array_column($rows, 'name', 'id');
    }
}
