<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\Core\Materials\Variant;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * What an original was when a change to it was begun.
 */
final readonly class BaseOriginal
{
    /**
     * @param list<PageView> $pages
     * @param list<Variant>  $variants
     */
    public function __construct(
        #[Assert\Length(max: 120)]
        public string $title,
        #[Assert\Count(max: 20)]
        public array $pages,
        #[Assert\Count(max: 40)]
        public array $variants = [],
        #[Assert\Length(max: 80)]
        public string $subject = '',
        #[Assert\Length(max: 40)]
        public string $year = '',
        #[Assert\Length(max: 300)]
        public string $about = '',
    ) {
    }
}
