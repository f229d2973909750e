<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping;

use FreshHuddle\Core\Grouping\Search\MustsBuilder;

/**
 * A must: it holds in every arrangement that is handed out, in every round.
 */
interface Rule
{
    /**
     * @return list<string> ids of the students it speaks of
     */
    public function students(): array;

    /**
     * The same rule for those who are here; null where nothing is left of it.
     *
     * @param array<string, true> $here ids
     */
    public function among(array $here): ?self;

    public function applyTo(MustsBuilder $musts): void;

    /**
     * The rule as a teacher would say it: “Ada and Ben apart”.
     *
     * @param callable(string): string $name the name of a student
     */
    public function inWords(callable $name): string;
}
