<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SaveOriginal
{
    /**
     * @param int             $basedOn the version the change was made on; 0 for the first
     * @param list<BlockView> $blocks
     */
    public function __construct(
        #[Assert\NotBlank(message: 'materials.original_needs_title', normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'lesson.title_at_most_120_signs')]
        public string $title,
        #[Assert\PositiveOrZero]
        public int $basedOn,
        #[Assert\Count(max: 40, maxMessage: 'materials.original_holds_at_most_40_blocks')]
        public array $blocks,
    ) {
    }
}
