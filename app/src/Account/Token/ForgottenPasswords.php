<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\Exception\AccountRefused;
use FreshHuddle\App\Account\Password\Passwords;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Worker\Tasks;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Who has forgotten their password sets a new one by a link that is sent to their address. Whether there is an account is
 * told to nobody.
 */
final readonly class ForgottenPasswords
{
    public function __construct(
        private EntityManagerInterface $em,
        private LinkSecret $secret,
        private Passwords $passwords,
        private TeacherDevices $devices,
        private Tasks $tasks,
        private ClockInterface $clock,
        #[Target('links_of_address')]
        private RateLimiterFactoryInterface $links,
    ) {
    }

    public function ask(string $email): void
    {
        $email = mb_strtolower(trim($email));
        $teacher = $this->em->getRepository(Teacher::class)->findOneBy(['email' => $email]);
        if (null === $teacher || !$this->links->create(hash('sha256', $email))->consume()->isAccepted()) {
            return;
        }
        $this->em->wrapInTransaction(function () use ($teacher): void {
            $token = new TeacherToken(Uuid::v4()->toRfc4122(), $teacher, $this->clock->now()->modify('+1 hour'));
            $this->em->persist($token);
            $this->tasks->ask(MailPassword::KIND, $token->id);
        });
    }

    /**
     * @throws AccountRefused if the link opens nothing, or no longer
     */
    public function set(NewPassword $request): void
    {
        $this->em->wrapInTransaction(function () use ($request): void {
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
