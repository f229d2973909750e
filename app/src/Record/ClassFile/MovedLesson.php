<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\ClassFile;

use Symfony\Component\Validator\Constraints as Assert;

/**
 * A lesson a class that moves house has had.
 */
final readonly class MovedLesson
{
    /**
     * @param string $record name of its record in the archive
     */
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim'), Assert\Length(max: 120)]
        public string $title,
        #[Assert\Range(min: 5, max: 600)]
        public int $minutes,
        #[Assert\Regex('~^records/[0-9]{4}\.json$~D')]
        public string $record,
    ) {
    }
}
