<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Source;

use FreshHuddle\Core\Rooms\SourceKind;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * All of them.
 */
final readonly class Sources
{
    /**
     * @param iterable<Source> $all
     */
    public function __construct(#[AutowireIterator(Source::class)] private iterable $all)
    {
    }

    public function get(SourceKind $kind): Source
    {
        foreach ($this->all as $source) {
            if ($source::kind() === $kind) {
                return $source;
            }
        }
        throw new \LogicException("No source for {$kind->value}.");
    }
}
