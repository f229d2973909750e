<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

/**
 * What an import would do, or has done.
 */
final readonly class ImportView
{
    /**
     * @param list<ColumnChoice>   $columns
     * @param list<ImportLineView> $lines
     * @param list<PackageClass>   $packageClasses for a package that holds several classes
     */
    public function __construct(
        public array $columns,
        public bool $heading,
        public int $added,
        public int $changed,
        public int $same,
        public int $refused,
        public array $lines,
        public array $packageClasses,
    ) {
    }
}
