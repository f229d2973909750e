<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Password;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ChangePassword
{
    public function __construct(
        #[Assert\NotBlank(message: 'Your password as it is now, please.'), Assert\Length(max: 500, maxMessage: 'No password is that long.'), \SensitiveParameter]
        public string $now,
        #[Assert\Length(min: Passwords::SHORTEST, max: 500, minMessage: 'A password has at least 10 signs.', maxMessage: 'At most 500 signs, please.'), \SensitiveParameter]
        public string $next,
    ) {
    }
}
