<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/**
 * A teacher: address, name, and a hash of the password.
 */
#[ORM\Entity]
class Teacher implements UserInterface, PasswordAuthenticatedUserInterface
{
    /**
     * @param non-empty-string $email
     */
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'guid')]
        public readonly string $id,
        #[ORM\Column(length: 180, unique: true)]
        public readonly string $email,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 255)]
        private string $password = '',
    ) {
    }

    public function setPasswordHash(string $hash): void
    {
        $this->password = $hash;
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function getRoles(): array
    {
        return ['ROLE_TEACHER'];
    }

    public function getUserIdentifier(): string
    {
        return $this->email;
    }

    public function eraseCredentials(): void
    {
    }
}
