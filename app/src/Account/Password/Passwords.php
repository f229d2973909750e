<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Password;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Exception\AccountRefused;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Account\Token\TeacherToken;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Sets passwords. Whoever changes one has to know it: an open screen is not enough.
 */
final readonly class Passwords
{
    public const SHORTEST = 10;

    /** Letters that are not mistaken for each other, for passwords that are read from paper once. */
    private const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';

    public function __construct(
        private EntityManagerInterface $em,
        private UserPasswordHasherInterface $hasher,
        #[Target('sign_in_here')]
        private RateLimiterFactoryInterface $tries,
    ) {
    }

    /**
     * @throws AccountRefused if the present password is another; after too many tries
     */
    public function change(Teacher $teacher, ChangePassword $request): void
    {
        $tries = $this->tries->create('password|'.$teacher->id);
        if ($tries->consume(0)->getRemainingTokens() < 1) {
            throw AccountRefused::tooMuch('account.too_many_tries', 'now');
        }
        if (!$this->hasher->isPasswordValid($teacher, $request->now)) {
            $tries->consume();
            throw AccountRefused::unusable('account.not_your_password', 'now');
        }
        $this->set($teacher, $request->next);
    }

    public function set(Teacher $teacher, #[\SensitiveParameter] string $password): void
    {
        $teacher->setPasswordHash($this->hasher->hashPassword($teacher, $password));
        $this->em->flush();
        // A link that was sent before sets no other password any more.
        $this->em
            ->createQueryBuilder()
            ->delete(TeacherToken::class, 't')
            ->where('t.teacher = :teacher AND t.usedAt IS NULL')
            ->setParameter('teacher', $teacher)
            ->getQuery()
            ->execute();
    }

    /**
     * @return string a password of about 79 bits, in four parts
     */
    public static function fresh(): string
    {
        $parts = [];
        for ($part = 0; $part < 4; ++$part) {
            $signs = '';
            for ($i = 0; $i < 4; ++$i) {
                $signs .= self::SIGNS[random_int(0, \strlen(self::SIGNS) - 1)];
            }
            $parts[] = $signs;
        }

        return implode('-', $parts);
    }
}
