<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\Core\Materials\Variant;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: a worksheet as it is now, and what it was when this page last heard of it.
 */
final readonly class SaveOriginal
{
    /**
     * @param int               $basedOn  the version the change was made on; 0 for the first
     * @param list<PageView>    $pages
     * @param list<Variant>     $variants
     * @param BaseOriginal|null $base what it was when the change was begun: where another window has saved meanwhile,
     *     both are brought together; null: it is refused then
     */
    public function __construct(
        #[Assert\NotBlank(message: 'materials.original_needs_title', normalizer: 'trim'),
            Assert\Length(max: 120, maxMessage: 'lesson.title_at_most_120_characters'),]
        public string $title,
        #[Assert\PositiveOrZero]
        public int $basedOn,
        #[Assert\Count(max: 20, maxMessage: 'materials.original_holds_at_most_20_pages')]
        public array $pages,
        #[Assert\Count(max: 40, maxMessage: 'materials.original_holds_at_most_40_variants'),]
        public array $variants = [],
        #[Assert\Length(max: 80, maxMessage: 'materials.at_most_80_characters')]
        public string $subject = '',
        #[Assert\Length(max: 40, maxMessage: 'materials.at_most_40_characters')]
        public string $year = '',
        #[Assert\Length(max: 300, maxMessage: 'materials.at_most_300_characters')]
        public string $about = '',
        #[Assert\Valid]
        public ?BaseOriginal $base = null,
    ) {
    }
}
