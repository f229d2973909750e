<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Symfony\Component\Security\Core\User\UserInterface;

/**
 * A student whose device has chosen a name.
 */
final readonly class StudentUser implements UserInterface
{
    /**
     * @param Young|null $young how a student who cannot read yet is told things; null: they read
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $classId,
        public string $className,
        public ?string $lessonId,
        public string $channel,
        public ?Young $young = null,
    ) {
    }

    public function getRoles(): array
    {
        return ['ROLE_STUDENT'];
    }

    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->id ? throw new \LogicException('A student has an id.') : $this->id;
    }
}
