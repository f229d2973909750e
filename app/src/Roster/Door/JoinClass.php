<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: join words, or a code, and a name.
 */
final readonly class JoinClass
{
    /**
     * @param string|null $name    as it was typed
     * @param string|null $student pressed on the list, where there is one
     * @param string|null $pass    of a slip, in place of all that
     * @param bool        $wait    where the name is not found or taken: wait in the doorway until the teacher says who
     *                             it is
     */
    public function __construct(
        #[Assert\Length(max: 60, maxMessage: 'roster.no_door_word_that_long')]
        public string $doorWord = '',
        #[Assert\NotBlank(message: 'roster.your_name', allowNull: true, normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'roster.name_at_most_120_characters'),]
        public ?string $name = null,
        #[Id]
        public ?string $student = null,
        public ?string $pass = null,
        public bool $wait = false,
    ) {
    }
}
