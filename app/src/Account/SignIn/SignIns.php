<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\SignIn;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Exception\AccountRefused;
use FreshHuddle\App\Account\Teacher;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;
use Symfony\Component\RateLimiter\LimiterInterface;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/**
 * Checks an address and a password. Known and unknown addresses take the same work and get the same answer. Only
 * failures count towards the limits; strangers can use up what an account allows to strangers, never what its owner's
 * own devices may do (KnownDevice).
 */
final readonly class SignIns
{
    /**
     * A hash of nobody's password, at the cost all others have (security.yaml; a test holds the two together). It is
     * written down here: to make one each time would take twice as long, and tell.
     */
    public const NOBODYS = '$2y$11$NRGtlubBoOAu/qTUIHXUTuSCjawf9k4qzBCG5jmRpTV6I1J2yNghm';

    private PasswordHasherInterface $hasher;

    public function __construct(
        private EntityManagerInterface $em,
        private KnownDevice $known,
        PasswordHasherFactoryInterface $hashers,
        #[Target('sign_in_address')]
        private RateLimiterFactoryInterface $ofAddress,
        #[Target('sign_in_here')]
        private RateLimiterFactoryInterface $perAddress,
        #[Target('sign_in_account')]
        private RateLimiterFactoryInterface $ofAccount,
    ) {
        $this->hasher = $hashers->getPasswordHasher(Teacher::class);
    }

    /**
     * @param string $address  where the request comes from
     * @param string $remember the cookie of KnownDevice; '' for none
     *
     * @throws AccountRefused if the two do not go together; after too many failures
     */
    public function check(SignIn $request, string $address, string $remember): Teacher
    {
        $email = mb_strtolower(trim($request->email));
        $teacher = $this->em->getRepository(Teacher::class)->findOneBy(['email' => $email]);
        $isKnown = null !== $teacher && $this->known->holds($remember, $teacher);
        $limits = $this->limits($email, $address, $isKnown ? $remember : null);
        foreach ($limits as $limit) {
            if ($limit->consume(0)->getRemainingTokens() < 1) {
                throw AccountRefused::tooMuch('account.too_many_tries_known_device', 'password');
            }
        }
        // Where there is no such teacher, nobody's hash is checked: the same work, so the same time.
        $fits = $this->hasher->verify($teacher?->getPassword() ?? self::NOBODYS, $request->password);
        if (null === $teacher || !$fits) {
            foreach ($limits as $limit) {
                $limit->consume();
            }
            throw AccountRefused::notSignedIn('account.wrong_password', 'password');
        }
        if ($this->hasher->needsRehash($teacher->getPassword())) {
            $teacher->setPasswordHash($this->hasher->hash($request->password));
            $this->em->flush();
        }

        return $teacher;
    }

    /**
     * @param string|null $known the cookie of a device this account was signed in on before; null for a stranger's
     *
     * @return list<LimiterInterface>
     */
    private function limits(string $email, string $address, ?string $known): array
    {
        if (null !== $known) {
            return [$this->perAddress->create(hash('sha256', "{$email}|{$known}"))];
        }

        return [
            $this->ofAddress->create($address),
            $this->perAddress->create(hash('sha256', "{$email}|{$address}")),
            $this->ofAccount->create(hash('sha256', $email)),
        ];
    }
}
