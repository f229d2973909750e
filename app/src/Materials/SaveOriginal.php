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
        #[Assert\NotBlank(message: 'The original needs a title.', normalizer: 'trim'), Assert\Length(max: 120, maxMessage: 'A title has at most 120 signs.')]
        public string $title,
        #[Assert\PositiveOrZero]
        public int $basedOn,
        #[Assert\Count(max: 40, maxMessage: 'An original holds at most 40 blocks.')]
        public array $blocks,
    ) {
    }
}
