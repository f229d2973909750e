<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class JoinClass
{
    /**
     * @param string|null $name    as it was typed
     * @param string|null $student pressed on the list, where there is one
     * @param bool        $wait    where the name is not found or taken: wait in the doorway until the teacher says who it is
     */
    public function __construct(
        #[Assert\Length(max: 60, maxMessage: 'No door word is that long.')]
        public string $doorWord,
        #[Assert\NotBlank(message: 'Your name, please.', allowNull: true, normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A name has at most 120 signs.')]
        public ?string $name = null,
        #[Id]
        public ?string $student = null,
        public bool $wait = false,
    ) {
    }
}
