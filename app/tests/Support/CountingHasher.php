<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Symfony\Component\PasswordHasher\PasswordHasherInterface;

/**
 * Says how often a password was checked, and against what.
 */
final class CountingHasher implements PasswordHasherInterface
{
    public int $checked = 0;
    public int $made = 0;

    /** @var list<string> */
    public array $against = [];

    public function hash(#[\SensitiveParameter] string $plainPassword): string
    {
        ++$this->made;

        return 'a hash';
    }

    public function verify(string $hashedPassword, #[\SensitiveParameter] string $plainPassword): bool
    {
        ++$this->checked;
        $this->against[] = $hashedPassword;

        return false;
    }

    public function needsRehash(string $hashedPassword): bool
    {
        return false;
    }
}
