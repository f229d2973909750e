<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a list, as a text or a file, and what its columns hold.
 */
final readonly class ImportRequest
{
    /**
     * @param string|null             $text         what was pasted; null where a file is given
     * @param string|null             $file         a file's bytes in base64
     * @param list<ColumnChoice>|null $columns      null: as recognised
     * @param bool|null               $heading      whether the first row is a heading; null: as recognised
     * @param string|null             $packageClass which class of a package that holds several; null: all
     */
    public function __construct(
        #[Assert\Length(max: 500_000, maxMessage: 'roster.that_too_much_text_for_class')]
        public ?string $text = null,
        #[Assert\Length(max: 5_600_000, maxMessage: 'roster.class_list_at_most_4_mb')]
        public ?string $file = null,
        #[Assert\Valid, Assert\Count(max: 60)]
        public ?array $columns = null,
        public ?bool $heading = null,
        #[Assert\Length(max: 255, maxMessage: 'roster.this_package_no_such_class'),]
        public ?string $packageClass = null,
    ) {
    }
}
