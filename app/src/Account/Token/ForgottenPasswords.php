<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\Exception\AccountRefused;
use FreshHuddle\App\Account\Password\Passwords;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Worker\Tasks;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Who has forgotten their password sets a new one by a link that is sent to their address. Whether there is an account
 * is told to nobody.
 */
final readonly class ForgottenPasswords
{
    private const LASTS = '+1 hour';
    private const LATELY = '-15 minutes';
    private const MOST_LATELY = 3;

    public function __construct(
        private EntityManagerInterface $em,
        private LinkSecret $secret,
        private Passwords $passwords,
        private TeacherDevices $devices,
        private Tasks $tasks,
        private ClockInterface $clock,
        private Transaction $transaction,
    ) {
    }

    /**
     * Somebody asks for a link. Whether there is such an account is looked up later, so that the answer takes the same
     * time.
     */
    public function request(string $email): void
    {
        $email = mb_strtolower(trim($email));
        $this->tasks->scheduleOnce(SendPasswordLink::KIND, hash('xxh128', $email), data: ['email' => $email]);
    }

    /**
     * Makes the link, if there is an account with this address and not too many have been sent to it.
     */
    public function make(string $email): void
    {
        $this->transaction->run(function () use ($email): void {
            $teacher = $this->em->getRepository(Teacher::class)->findOneBy(['email' => $email]);
            if (null === $teacher) {
                return;
            }
            $this->em->lock($teacher, LockMode::PESSIMISTIC_WRITE);
            $until = $this->clock->now()->modify(self::LASTS);
            $lately = $this->em
                ->createQueryBuilder()
                ->select('COUNT(t.id)')
                ->from(TeacherToken::class, 't')
                ->where('t.teacher = :teacher AND t.until > :lately')
                ->setParameter('teacher', $teacher)
                ->setParameter('lately', $until->modify(self::LATELY), 'datetimetz_immutable')
                ->getQuery()
                ->getSingleScalarResult();
            if ((int) $lately < self::MOST_LATELY) {
                $token = new TeacherToken(Uuid::v4()->toRfc4122(), $teacher, $until);
                $this->em->persist($token);
                $this->tasks->schedule(MailPassword::KIND, $token->id);
            }
        });
    }

    /**
     * @throws AccountRefused if the link opens nothing, or no longer
     */
    public function set(NewPassword $request): void
    {
        $this->transaction->run(function () use ($request): void {
            $id = $this->secret->read($request->token);
            $token = null === $id ? null : $this->em->find(TeacherToken::class, $id, LockMode::PESSIMISTIC_WRITE);
            if (null === $token || null !== $token->usedAt || $token->until < $this->clock->now()) {
                throw AccountRefused::unusable('account.link_over', 'token');
            }
            $token->usedAt = $this->clock->now();
            $this->passwords->set($token->teacher, $request->password);
            $this->devices->signOutOthers($token->teacher, null);
        });
    }
}
