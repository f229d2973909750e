<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Password\Passwords;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Account\Token\LinkSecret;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Roster\Exception\RosterRefused;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\App\Roster\Staff\ClassStaff;
use FreshHuddle\App\Roster\Staff\Staff;
use FreshHuddle\App\Roster\Staff\StaffRole;
use FreshHuddle\App\Worker\Tasks;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Assistants and co-teachers are asked by mail to help in a class, and come in by the link.
 */
final readonly class Invitations
{
    private const MOST = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private LinkSecret $secret,
        private Passwords $passwords,
        private Tasks $tasks,
        private Staff $staff,
        private ClockInterface $clock,
        #[Target('invitations_by')]
        private RateLimiterFactoryInterface $by,
        #[Target('invitations_to')]
        private RateLimiterFactoryInterface $to,
        private Transaction $transaction,
    ) {
    }

    /**
     * @throws RosterRefused if it is the owner, somebody who helps already, or one too many; 429 after too many letters
     *                       of
     *                       one teacher, or to one address
     */
    public function invite(Teacher $by, SchoolClass $class, Invite $request): void
    {
        $email = mb_strtolower(trim($request->email));
        if (StaffRole::Owner === $request->role) {
            throw RosterRefused::unusable('roster.staff.one_owner', 'role');
        }
        if (
            !$this->by->create($by->id)->consume()->isAccepted()
            || !$this->to->create(hash('sha256', $email))->consume()->isAccepted()
        ) {
            throw RosterRefused::tooMuch('roster.staff.too_often', 'email');
        }
        $this->transaction->run(function () use ($by, $class, $email, $request): void {
            $this->em->lock($class, LockMode::PESSIMISTIC_WRITE);
            $pending = $this->forClass($class);
            $teacher = $this->teacher($email);
            if (null !== $teacher && null !== $this->staff->role($teacher, $class)) {
                throw RosterRefused::unusable('roster.staff.already', 'email');
            }
            $invitation = $this->em
                ->getRepository(ClassInvitation::class)
                ->findOneBy(['class' => $class, 'email' => $email]);
            if (null === $invitation && \count($pending) >= self::MOST) {
                throw RosterRefused::unusable('roster.staff.too_many', 'email');
            }
            $until = $this->clock->now()->modify('+14 days');
            $invitation ??= new ClassInvitation(Uuid::v4()->toRfc4122(), $class, $email, $request->role, $by, $until);
            $invitation->role = $request->role;
            $invitation->invitedBy = $by;
            $invitation->until = $until;
            $this->em->persist($invitation);
            $this->em->flush();
            $this->tasks->schedule(MailInvitation::KIND, $invitation->id);
        });
    }

    /**
     * @return list<StaffView> who helps, then who has been asked
     */
    public function forClass(SchoolClass $class): array
    {
        $asked = $this->em->getRepository(ClassInvitation::class)->findBy(['class' => $class], ['email' => 'ASC']);

        return [
            ...array_map(
                static fn (ClassStaff $classStaff): StaffView => new StaffView(
                    $classStaff->teacher->id,
                    $classStaff->teacher->name,
                    $classStaff->role,
                ),
                $this->staff->forClass($class),
            ),
            ...array_map(
                static fn (ClassInvitation $classInvitation): StaffView => new StaffView(
                    null,
                    $classInvitation->email,
                    $classInvitation->role,
                ),
                $asked,
            ),
        ];
    }

    /**
     * Who helps no longer does, or who was asked no longer is.
     *
     * @param string $who a teacher's id, or the address somebody was asked at
     */
    public function remove(SchoolClass $class, string $who): void
    {
        $this->transaction->run(function () use ($class, $who): void {
            foreach ($this->staff->forClass($class) as $member) {
                if ($member->teacher->id === $who) {
                    $this->em->remove($member);
                }
            }
            foreach (
                $this->em->getRepository(ClassInvitation::class)->findBy(['class' => $class, 'email' => $who]) as $member
            ) {
                $this->em->remove($member);
            }
        });
    }

    /**
     * @throws RosterRefused if the link opens nothing, or no longer
     */
    public function show(string $token): InvitationView
    {
        $invitation = $this->open($token);

        return new InvitationView(
            $invitation->class->name,
            $invitation->invitedBy->name,
            $invitation->role,
            $invitation->email,
            null !== $this->teacher($invitation->email),
        );
    }

    /**
     * Whoever holds the link reads the mail of this address, so the account with it is theirs; where there is none, one
     * is made.
     *
     * @throws RosterRefused if the link opens nothing, or no longer, or if a name or password is missing
     */
    public function accept(string $token, AcceptInvitation $request): void
    {
        $this->transaction->run(function () use ($token, $request): void {
            $invitation = $this->open($token);
            $this->em->lock($invitation->class, LockMode::PESSIMISTIC_WRITE);
            $teacher = $this->teacher($invitation->email);
            if (null === $teacher) {
                \assert('' !== $invitation->email);
                $teacher = new Teacher(
                    Uuid::v7()->toRfc4122(),
                    $invitation->email,
                    trim($request->name ?? throw RosterRefused::unusable('roster.name_please', 'name')),
                );
                $this->em->persist($teacher);
                $this->passwords->set(
                    $teacher,
                    $request->password ?? throw RosterRefused::unusable('account.password_please', 'password'),
                );
            }
            if (null === $this->staff->role($teacher, $invitation->class)) {
                $this->em->persist(new ClassStaff($invitation->class, $teacher, $invitation->role));
            }
            $this->em->remove($invitation);
        });
    }

    private function open(string $token): ClassInvitation
    {
        $id = $this->secret->read($token);
        $invitation = null === $id ? null : $this->em->find(ClassInvitation::class, $id);
        $isOver =
            null === $invitation
            || $invitation->until < $this->clock->now()
            || null !== $invitation->class->removedAt
            || null !== $invitation->class->archivedAt;
        if ($isOver) {
            throw RosterRefused::missing('roster.staff.invitation_over');
        }

        return $invitation;
    }

    private function teacher(string $email): ?Teacher
    {
        return $this->em->getRepository(Teacher::class)->findOneBy(['email' => $email]);
    }
}
