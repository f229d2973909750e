<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door\Doorway;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Device\StudentDeviceStore;
use FreshHuddle\App\Roster\Door\DoorMode;
use FreshHuddle\App\Roster\Door\DoorState;
use FreshHuddle\App\Roster\Door\StudentAlias;
use FreshHuddle\App\Roster\Event\Arrivals;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\Roster;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Student;
use FreshHuddle\App\Worker\PurgesExpired;
use FreshHuddle\Core\Roster\Door\NameMatch;
use FreshHuddle\Core\Roster\Exception\UnusableName;
use FreshHuddle\Core\Roster\StudentName;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * Where arrivals wait whom the list does not know, or whose name another device has, until the teacher says who they
 * are.
 */
final readonly class Doorway implements PurgesExpired
{
    /** So many who are not on the list. Those who are take no place of theirs. */
    private const MOST_STRANGERS = 60;
    /** So many devices may wait to be one student, */
    private const MOST_PER_STUDENT = 8;
    /** and so many of one network. */
    private const MOST_PER_NETWORK = 2;
    private const OLD = '-16 hours';
    private const SHUT = '+16 hours';

    public function __construct(
        private EntityManagerInterface $em,
        private StudentDeviceStore $devices,
        private Roster $roster,
        private ClockInterface $clock,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * @param string      $token   the device's cookie; '' for none
     * @param string|null $meant   who that would be on the list, where it is clear: there is always a place for them
     * @param string      $address where they come from (ClientAddress)
     *
     * @return string the device's cookie from now on
     *
     * @throws RosterRefused if too many wait already who are not on the list, or the teacher has shut them out
     */
    public function wait(string $classId, string $typed, string $token, ?string $meant, string $address): string
    {
        return $this->transaction->run(function () use ($classId, $typed, $token, $meant, $address): string {
            $class = $this->em->find(SchoolClass::class, $classId) ?? throw RosterRefused::missing();
            // found and locked in one, an entity that is here already would be read anew
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $before = '' === $token ? null : $this->guest($token);
            if (null !== $before) {
                $this->em->remove($before);
                $this->em->flush();
            }
            $network = substr(hash('sha256', $class->id.'|'.$address), 0, 16);
            null === $meant ? $this->mayWait($class) : $this->makePlace($class, $meant, $network);
            // Who is in as somebody stays in as that while they wait to be somebody else.
            $waits = '' !== $token && null !== $this->devices->student($token) ? $token : bin2hex(random_bytes(32));
            $this->em->persist(
                new DoorwayGuest(
                    Uuid::v7()->toRfc4122(),
                    $class,
                    trim($typed),
                    hash('sha256', $waits),
                    $meant,
                    $this->clock->now(),
                    $network,
                ),
            );
            $this->em->flush();

            return $waits;
        });
    }

    /**
     * @throws RosterRefused if nobody who is not on the list can wait any more
     */
    private function mayWait(SchoolClass $class): void
    {
        if ($class->strangersOut($this->clock->now())) {
            throw RosterRefused::unusable('roster.door.list_only', 'name');
        }
        if (
            $this->em
                ->getRepository(DoorwayGuest::class)
                ->count(['class' => $class, 'refused' => false, 'meant' => null]) >= self::MOST_STRANGERS
        ) {
            throw RosterRefused::tooMuch('roster.door.too_many_waiting', 'name');
        }
    }

    /**
     * Somebody of the list comes: where others have filled the places of that name, one of them goes. Of the same
     * network the one who waits longest; else of the network that has most of the places.
     */
    private function makePlace(SchoolClass $class, string $meant, string $network): void
    {
        $waiting = array_values(
            $this->em
                ->getRepository(DoorwayGuest::class)
                ->findBy(['class' => $class, 'meant' => $meant, 'refused' => false], ['id' => 'ASC']),
        );
        $atDoor = array_values(
            array_filter($waiting, static fn (DoorwayGuest $guest): bool => $guest->network === $network),
        );
        if (\count($atDoor) >= self::MOST_PER_NETWORK) {
            $this->em->remove($atDoor[0]);
        } elseif (\count($waiting) >= self::MOST_PER_STUDENT) {
            $places = array_count_values(
                array_map(static fn (DoorwayGuest $guest): string => $guest->network, $waiting),
            );
            usort(
                $waiting,
                static fn (DoorwayGuest $a, DoorwayGuest $b): int => [$places[$b->network], $a->id] <=> [
                    $places[$a->network],
                    $b->id,
                ],
            );
            $this->em->remove($waiting[0]);
        }
    }

    /**
     * Everybody who waits and is not on the list is turned away, and nobody more of them can wait until it is said
     * otherwise, or for the rest of the day.
     */
    public function shutOut(SchoolClass $class): void
    {
        $this->transaction->run(function () use ($class): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $class->strangersOutUntil = $this->clock->now()->modify(self::SHUT);
            foreach (
                $this->em
                    ->getRepository(DoorwayGuest::class)
                    ->findBy(['class' => $class, 'refused' => false, 'meant' => null]) as $guest
            ) {
                $guest->refused = true;
            }
            $this->events->dispatch(new Arrivals($class->id));
        });
    }

    public function letStrangersWait(SchoolClass $class): void
    {
        $this->transaction->run(function () use ($class): void {
            $class->strangersOutUntil = null;
            $this->events->dispatch(new Arrivals($class->id));
        });
    }

    public function state(string $token): DoorState
    {
        if ('' !== $token && null !== $this->devices->student($token)) {
            return DoorState::In;
        }
        $guest = '' === $token ? null : $this->guest($token);

        return null === $guest ? DoorState::Outside : ($guest->refused ? DoorState::NotNow : DoorState::Waiting);
    }

    /**
     * @return string|null the class whose doorway the device stands in
     */
    public function classOf(string $token): ?string
    {
        return '' === $token ? null : $this->guest($token)?->class->id;
    }

    /**
     * @return list<DoorwayView> who waits, first come first
     */
    public function forClass(string $classId): array
    {
        return array_map(
            fn (DoorwayGuest $guest): DoorwayView => new DoorwayView(
                $guest->id,
                $guest->typed,
                $guest->meant,
                null !== $guest->meant && $this->devices->isTaken($guest->meant),
                LooksLike::another($guest->typed),
            ),
            array_values(
                $this->em
                    ->getRepository(DoorwayGuest::class)
                    ->findBy(['class' => $classId, 'refused' => false], ['id' => 'ASC']),
            ),
        );
    }

    /**
     * “This is …”: the device speaks for the student; the name it typed is known from now on.
     *
     * @throws RosterRefused if there is no such guest or student in the class, or if they have gone
     */
    public function thisIs(SchoolClass $class, string $guestId, string $studentId): void
    {
        $this->transaction->run(function () use ($class, $guestId, $studentId): void {
            $this->letIn($class, $guestId, $studentId);
            $this->events->dispatch(new Arrivals($class->id));
        });
    }

    private function letIn(SchoolClass $class, string $guestId, string $studentId): void
    {
        $guest = $this->waitingGuest($class, $guestId);
        $student =
            $this->em
                ->getRepository(Student::class)
                ->findOneBy(['id' => $studentId, 'class' => $class, 'removedAt' => null]) ??
            throw RosterRefused::unusable('roster.not_on_list', 'student');
        $this->devices->assign($guest->tokenHash, $student->id);
        $this->em->lock($guest->class, LockMode::PESSIMISTIC_WRITE);
        $known = $this->em
            ->getRepository(StudentAlias::class)
            ->findOneBy(['student' => $student, 'name' => $guest->typed]);
        if (null === $known && [] === NameMatch::find($guest->typed, [$student->id => [$student->name]])) {
            $this->em->persist(new StudentAlias($student, $guest->typed));
        }
        $this->em->remove($guest);
        $this->em->flush();
    }

    /**
     * Who waits comes in when the very name they typed has come onto the list since, or has been set free.
     */
    public function letInByName(string $token): void
    {
        $guest = '' === $token ? null : $this->guest($token);
        if (null === $guest || $guest->refused || DoorMode::Open !== $guest->class->door) {
            return;
        }
        try {
            $folded = StudentName::fromText($guest->typed)->folded();
        } catch (UnusableName) {
            return;
        }
        $student = $this->em
            ->getRepository(Student::class)
            ->findOneBy(['class' => $guest->class, 'folded' => $folded, 'removedAt' => null]);
        if (null === $student || $this->devices->isTaken($student->id)) {
            return;
        }
        $this->transaction->run(function () use ($guest, $student): void {
            $this->letIn($guest->class, $guest->id, $student->id);
            $this->events->dispatch(new Arrivals($guest->class->id, $student->id));
        });
    }

    /**
     * Everybody who waits and is clearly somebody of the list whose name nobody has is let in.
     */
    public function letAllIn(SchoolClass $class): void
    {
        $in = [];
        foreach ($this->forClass($class->id) as $guest) {
            if (null !== $guest->student && !$guest->taken && !\in_array($guest->student, $in, true)) {
                $in[] = $student = $guest->student;
                $this->transaction->run(function () use ($class, $guest, $student): void {
                    $this->letIn($class, $guest->id, $student);
                    $this->events->dispatch(new Arrivals($class->id, $student));
                });
            }
        }
    }

    /**
     * Somebody who is not on the list takes part: they are put on it, as a guest.
     *
     * @throws RosterRefused if somebody is called that already
     */
    public function asGuest(SchoolClass $class, string $guestId): void
    {
        $typed = $this->waitingGuest($class, $guestId)->typed;
        $added =
            $this->roster->addGuest($class, $typed) ??
            throw RosterRefused::unusable('roster.door.guest_name', 'student');
        $this->transaction->run(function () use ($class, $guestId, $added): void {
            $this->letIn($class, $guestId, $added);
            $this->events->dispatch(new Arrivals($class->id, $added));
        });
    }

    /**
     * The older device says whether the other one is the student's, too. It is out then, and the other one in.
     *
     * @throws RosterRefused if nobody asks that any more
     */
    public function answer(string $studentId, string $guestId, bool $mine): void
    {
        $guest =
            $this->em
                ->getRepository(DoorwayGuest::class)
                ->findOneBy(['id' => $guestId, 'meant' => $studentId, 'refused' => false]) ??
            throw RosterRefused::missing();
        $mine ? $this->thisIs($guest->class, $guest->id, $studentId) : $this->notNow($guest->class, $guest->id);
    }

    /**
     * @return string|null the student who has the name that the device in the doorway asks for
     */
    public function meant(string $token): ?string
    {
        $meant = '' === $token ? null : $this->guest($token)?->meant;

        return null !== $meant && $this->devices->isTaken($meant) ? $meant : null;
    }

    public function typed(string $token): ?string
    {
        return '' === $token ? null : $this->guest($token)?->typed;
    }

    public function notNow(SchoolClass $class, string $guestId): void
    {
        $this->transaction->run(function () use ($class, $guestId): void {
            $this->waitingGuest($class, $guestId)->refused = true;
            $this->events->dispatch(new Arrivals($class->id));
        });
    }

    public function forgetOld(): void
    {
        $this->em
            ->createQueryBuilder()
            ->delete(DoorwayGuest::class, 'g')
            ->where('g.cameAt < :before')
            ->setParameter('before', $this->clock->now()->modify(self::OLD), 'datetimetz_immutable')
            ->getQuery()
            ->execute();
    }

    private function waitingGuest(SchoolClass $class, string $guestId): DoorwayGuest
    {
        return $this->em->getRepository(DoorwayGuest::class)->findOneBy(['id' => $guestId, 'class' => $class]) ??
            throw RosterRefused::missing();
    }

    private function guest(string $token): ?DoorwayGuest
    {
        return $this->em->getRepository(DoorwayGuest::class)->findOneBy(['tokenHash' => hash('sha256', $token)]);
    }
}
