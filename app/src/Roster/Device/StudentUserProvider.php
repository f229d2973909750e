<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/**
 * Students are known by their device's cookie at every request, so there is nothing to load or refresh here.
 *
 * @implements UserProviderInterface<StudentUser>
 */
final class StudentUserProvider implements UserProviderInterface
{
    public function refreshUser(UserInterface $user): UserInterface
    {
        return $user instanceof StudentUser ? $user : throw new UnsupportedUserException();
    }

    public function supportsClass(string $class): bool
    {
        return StudentUser::class === $class;
    }

    public function loadUserByIdentifier(string $identifier): UserInterface
    {
        throw new UserNotFoundException();
    }
}
