<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Event\FloorChanged;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Roster\Device\StudentUser;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\DeskHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\App\Worker\Tasks;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Students take seats themselves, on their own pages. Rules of the class play no part while they do: a seat refused to
 * one and given to the next would tell of them. They are kept when the sign-up closes (SignUpClose).
 */
final readonly class SignUps
{
    public const CLOSE = 'closeSignUp';

    public function __construct(
        private EntityManagerInterface $em,
        private SignUpStore $store,
        private FloorStore $floors,
        private SignUpPlace $place,
        private EventDispatcherInterface $events,
        private Transaction $transaction,
        private Stream $stream,
        private Tasks $tasks,
        private Clock $clock,
    ) {
    }

    /**
     * @return SignUpState|null null while none is open
     */
    public function state(string $groupingId): ?SignUpState
    {
        $open = $this->find($groupingId);

        return null === $open ? null : new SignUpState($open->seats, $open->closesAt);
    }

    /**
     * Opens it; one that is open already goes on with the seats and the time now said.
     *
     * @throws GroupingRefused if there are no tables to sit down at
     */
    public function open(Grouping $grouping, OpenSignUp $request): void
    {
        if ([] === $this->floors->now($grouping->id)->groups) {
            throw GroupingRefused::unusable('grouping.sign_up.no_tables', 'seats');
        }
        $this->transaction->run(function () use ($grouping, $request): void {
            $this->em->lock($grouping, LockMode::PESSIMISTIC_WRITE); // who presses at the same moment changes this one
            $now = $this->clock->ms();
            $closesAt = null === $request->minutes ? null : $now + 60_000 * $request->minutes;
            $open =
                $this->find($grouping->id) ??
                new SignUp(Uuid::v7()->toRfc4122(), $grouping, $now, $request->seats, $closesAt);
            $open->seats = $request->seats;
            $open->closesAt = $closesAt;
            $this->em->persist($open);
            $this->em->flush();
            if (null === $closesAt) {
                $this->tasks->cancel($grouping->id, self::CLOSE);
            } else {
                $this->tasks->schedule(self::CLOSE, $grouping->id, $closesAt);
            }
            $this->tellEverybody($grouping->id);
        });
    }

    /**
     * Nobody takes a seat any more; it is still open until everybody is seated (`close`).
     */
    public function stop(string $groupingId): void
    {
        $open = $this->find($groupingId);
        if (null !== $open) {
            $open->closesAt = $this->clock->ms();
            $this->em->flush();
        }
    }

    public function close(string $groupingId): void
    {
        $this->transaction->run(function () use ($groupingId): void {
            $this->tasks->cancel($groupingId, self::CLOSE);
            $open = $this->find($groupingId);
            if (null !== $open) {
                $open->endedAt = $this->clock->ms();
                $this->em->flush();
            }
            $this->tellEverybody($groupingId);
        });
    }

    private function find(string $groupingId): ?SignUp
    {
        return $this->em->getRepository(SignUp::class)->findOneBy(['grouping' => $groupingId, 'endedAt' => null]);
    }

    /**
     * @return SignUpView|null null while there is none for this student
     */
    public function view(StudentUser $student): ?SignUpView
    {
        $groupingId = $this->place->groupingFor($student);
        $state = null === $groupingId ? null : $this->store->openFor($student, $groupingId);
        if (null === $groupingId || null === $state) {
            return null;
        }

        return new SignUpView(
            array_map(
                static fn (Group $group): SignUpTable => new SignUpTable(
                    $group->id,
                    $group->name,
                    $group->mark,
                    $state->seats,
                    \count($group->students),
                    $group->holds($student->id),
                ),
                $this->floors->now($groupingId)->groups,
            ),
            $state->closesAt,
        );
    }

    /**
     * @throws GroupingRefused if the seat is not to be had: taken by now, or the sign-up is over
     */
    public function choose(StudentUser $student, string $table): void
    {
        $groupingId = $this->place->groupingFor($student);
        if (null === $groupingId || null === $this->store->openFor($student, $groupingId)) {
            throw GroupingRefused::outdated('grouping.sign_up.over');
        }
        $this->transaction->run(function () use ($groupingId, $student, $table): void {
            [$before, $after] = $this->store->seat($groupingId, function (?SignUpState $state, Floor $floor) use (
                $student,
                $table,
            ): Floor {
                if (null === $state || (null !== $state->closesAt && $state->closesAt <= $this->clock->ms())) {
                    throw GroupingRefused::outdated('grouping.sign_up.over');
                }
                if (!$this->isFree($student, $floor, $table, $state->seats)) {
                    throw GroupingRefused::outdated('grouping.sign_up.full');
                }

                return $floor->seat($student->id, $table);
            });
            $this->events->dispatch(new FloorChanged($groupingId, $before, $after));
            $this->tellEverybody($groupingId, $after);
        });
    }

    private function isFree(StudentUser $student, Floor $floor, string $table, int $seats): bool
    {
        $group =
            array_values(
                array_filter($floor->groups, static fn (Group $candidate): bool => $candidate->id === $table),
            )[0] ?? null;
        if (null === $group) {
            return false;
        }
        if ($group->holds($student->id)) {
            return true;
        }

        return \count($group->students) < $seats;
    }

    /**
     * How many sit where goes out as numbers; opening and closing as “look again”.
     */
    private function tellEverybody(string $groupingId, ?Floor $floor = null): void
    {
        $message = new RefreshHint();
        if (null !== $floor) {
            $message = new SignUpMessage(
                array_map(
                    static fn (Group $group): TakenSeats => new TakenSeats($group->id, \count($group->students)),
                    $floor->groups,
                ),
            );
        }
        $class = $this->store->classOf($groupingId);
        $this->stream->publish(null === $class ? [] : [Audience::schoolClass($class)], $message);
        $this->stream->publish([Audience::desk($groupingId)], new DeskHint());
    }
}
