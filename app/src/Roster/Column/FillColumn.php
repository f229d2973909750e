<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Column;

use FreshHuddle\App\Roster\EditStudent;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * One column of the class list, for many at once.
 */
final readonly class FillColumn
{
    /**
     * @param string|null      $attribute its name; null: the table
     * @param list<FilledCell> $cells     '' takes the value away
     */
    public function __construct(
        #[Assert\NotBlank(message: 'roster.what_it_called', normalizer: 'trim', allowNull: true),
            Assert\Length(max: 60, maxMessage: 'roster.name_at_most_60_characters'),]
        public ?string $attribute,
        #[Assert\Valid, Assert\Count(min: 1, max: 1200)]
        public array $cells,
    ) {
    }

    public function edit(FilledCell $cell): EditStudent
    {
        return null === $this->attribute
            ? new EditStudent(table: $cell->value)
            : new EditStudent(attributes: [new AttributeValue($this->attribute, $cell->value)]);
    }
}
