<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster;

use FreshHuddle\App\Roster\Column\AttributeValue;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: what to change of a student.
 */
final readonly class EditStudent
{
    /**
     * What is null stays as it is.
     *
     * @param string|null               $table      '' for no table
     * @param string|null               $schoolId   '' for none
     * @param string|null               $email      '' for none
     * @param list<AttributeValue>|null $attributes those that change; an empty value takes one away
     * @param list<string>|null         $tags       all of them
     * @param bool|null                 $guest      false: a guest stays on the list for good
     * @param bool|null                 $seatable   false for a second device, or the teacher's own sign-in
     */
    public function __construct(
        #[Assert\Length(max: 1000, maxMessage: 'roster.name_at_most_120_characters')]
        public ?string $name = null,
        public ?bool $absent = null,
        #[Assert\Length(max: 60, maxMessage: 'roster.table_name_at_most_60_characters')]
        public ?string $table = null,
        #[Assert\Length(max: 120, maxMessage: 'roster.at_most_120_characters')]
        public ?string $schoolId = null,
        #[Assert\Valid, Assert\Count(max: 60)]
        public ?array $attributes = null,
        #[Assert\Count(max: 30, maxMessage: 'roster.at_most_30_tags'),
            Assert\All([
                new Assert\NotBlank(normalizer: 'trim'),
                new Assert\Length(max: 60, maxMessage: 'roster.tag_at_most_60_characters'),
            ]),]
        public ?array $tags = null,
        public ?bool $seatable = null,
        #[Assert\Email(message: 'roster.this_no_address'),
            Assert\Length(max: 180, maxMessage: 'roster.this_no_address'),]
        public ?string $email = null,
        public ?bool $guest = null,
    ) {
    }
}
