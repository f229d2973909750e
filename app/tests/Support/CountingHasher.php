<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Support;

use Symfony\Component\PasswordHasher\PasswordHasherInterface;

/**
 * Says how often a password was checked, and against a hash of what cost.
 */
final class CountingHasher implements PasswordHasherInterface
{
    public int $checked = 0;

    /** @var list<string> */
    public array $costs = [];

    public function hash(#[\SensitiveParameter] string $plainPassword): string
    {
        return 'cost-of-a-real-one';
    }

    public function verify(string $hashedPassword, #[\SensitiveParameter] string $plainPassword): bool
    {
        ++$this->checked;
        $this->costs[] = 'harbour' === $hashedPassword ? $this->hash('') : $hashedPassword;

        return false;
    }

    public function needsRehash(string $hashedPassword): bool
    {
        return false;
    }
}
