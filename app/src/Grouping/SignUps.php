<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use Psr\EventDispatcher\EventDispatcherInterface;

/**
 * Students take seats themselves, on their own pages. Rules of the class play no part while they do: a seat refused to one
 * and given to the next would tell of them. They are kept when the sign-up closes (SignUpClose).
 */
final readonly class SignUps
{
    public const CLOSE = 'closeSignUp';

    public function __construct(
        private Connection $db,
        private FloorStore $floors,
        private SignUpPlace $place,
        private EventDispatcherInterface $events,
        private Stream $stream,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    public function state(string $groupingId): ?SignUpState
    {
        $json = $this->db->fetchOne('SELECT sign_up FROM grouping WHERE id = ?', [$groupingId]);

        return \is_string($json) ? self::read($json) : null;
    }

    /**
     * @throws Problem 422 if there are no tables to sit down at
     */
    public function open(Grouping $grouping, OpenSignUp $request): void
    {
        if ([] === $this->floors->now($grouping->id)->groups) {
            throw new Problem(422, 'There are no tables yet. Put some on the floor first.', 'seats');
        }
        $closesAt = null === $request->minutes ? null : $this->clock->ms() + 60_000 * $request->minutes;
        $this->db->update('grouping', ['sign_up' => json_encode(['seats' => $request->seats, 'closesAt' => $closesAt], \JSON_THROW_ON_ERROR)], ['id' => $grouping->id]);
        if (null === $closesAt) {
            $this->tasks->cancel(self::CLOSE, $grouping->id);
        } else {
            $this->tasks->ask(self::CLOSE, $grouping->id, $closesAt);
        }
        $this->tellEverybody($grouping->id);
    }

    /**
     * Nobody takes a seat any more; it is still open until everybody is seated (`close`).
     */
    public function stop(string $groupingId): void
    {
        $this->db->executeStatement("UPDATE grouping SET sign_up = jsonb_set(sign_up, '{closesAt}', to_jsonb(?::bigint)) WHERE id = ? AND sign_up IS NOT NULL", [$this->clock->ms(), $groupingId]);
    }

    public function close(string $groupingId): void
    {
        $this->tasks->cancel(self::CLOSE, $groupingId);
        $this->db->update('grouping', ['sign_up' => null], ['id' => $groupingId]);
        $this->tellEverybody($groupingId);
    }

    /**
     * @return SignUpView|null null while there is none for this student
     */
    public function view(StudentUser $student): ?SignUpView
    {
        $row = $this->openFor($student);
        if (null === $row) {
            return null;
        }
        $state = self::read($row->text('sign_up'));

        return new SignUpView(array_map(
            static fn (Group $group): SignUpTable => new SignUpTable($group->id, $group->name, $group->mark, $state->seats, \count($group->students), $group->holds($student->id)),
            $this->floors->now($row->text('id'))->groups,
        ), $state->closesAt);
    }

    /**
     * @throws Problem 409 if the seat is not to be had: taken by now, or the sign-up is over
     */
    public function take(StudentUser $student, string $table): void
    {
        $row = $this->openFor($student) ?? throw new Problem(409, 'Taking seats is over.');
        $groupingId = $row->text('id');
        [$before, $after] = $this->db->transactional(function () use ($student, $table, $groupingId): array {
            $step = $this->db->fetchAssociative('SELECT step, sign_up FROM grouping WHERE id = ? FOR UPDATE', [$groupingId]);
            $step = new Row(false === $step ? throw Problem::notFound() : $step);
            $state = null === $step->textOrNull('sign_up') ? null : self::read($step->text('sign_up'));
            if (null === $state || (null !== $state->closesAt && $state->closesAt <= $this->clock->ms())) {
                throw new Problem(409, 'Taking seats is over.');
            }
            $floor = $this->floors->now($groupingId);
            if (!$this->isFree($student, $floor, $table, $state->seats)) {
                throw new Problem(409, 'This table is full by now. Choose another.');
            }
            $seated = $floor->seat($student->id, $table);
            if (!$seated->equals($floor)) {
                $this->floors->append($groupingId, $step->int('step'), 'signUp', $seated);
            }

            return [$floor, $seated];
        });
        $this->events->dispatch(new FloorChanged($groupingId, $before, $after));
        $this->tellEverybody($groupingId, $after);
    }

    private function isFree(StudentUser $student, Floor $floor, string $table, int $seats): bool
    {
        $group = array_values(array_filter($floor->groups, static fn (Group $one): bool => $one->id === $table))[0] ?? null;
        if (null === $group) {
            return false;
        }
        if ($group->holds($student->id)) {
            return true;
        }

        return \count($group->students) < $seats;
    }

    /**
     * The sign-up of the lesson the student's class comes into now.
     */
    private function openFor(StudentUser $student): ?Row
    {
        $grouping = $this->place->groupingFor($student);
        $row = null === $grouping ? false : $this->db->fetchAssociative(
            'SELECT g.id, g.sign_up FROM grouping g JOIN student s ON s.id = ? AND s.class_id = g.class_id AND s.seatable AND NOT s.absent
             WHERE g.id = ? AND g.sign_up IS NOT NULL',
            [$student->id, $grouping],
        );

        return false === $row ? null : new Row($row);
    }

    /**
     * How many sit where goes out as numbers; opening and closing as “look again”.
     */
    private function tellEverybody(string $groupingId, ?Floor $floor = null): void
    {
        $message = ['kind' => 'refresh'];
        if (null !== $floor) {
            $taken = [];
            foreach ($floor->groups as $group) {
                $taken[$group->id] = \count($group->students);
            }
            $message = ['kind' => 'signUp', 'taken' => $taken];
        }
        $class = $this->db->fetchOne('SELECT class_id FROM grouping WHERE id = ?', [$groupingId]);
        $this->stream->publish(\is_string($class) ? [Audience::schoolClass($class)] : [], $message);
        $this->stream->publish([Audience::desk($groupingId)], ['kind' => 'desk']);
    }

    private static function read(string $json): SignUpState
    {
        $data = json_decode($json, true, 4, \JSON_THROW_ON_ERROR);
        $seats = \is_array($data) ? $data['seats'] ?? null : null;
        $closesAt = \is_array($data) ? $data['closesAt'] ?? null : null;

        return new SignUpState(\is_int($seats) ? $seats : 4, \is_int($closesAt) ? $closesAt : null);
    }
}
