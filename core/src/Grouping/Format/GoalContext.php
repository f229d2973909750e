<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;

/**
 * What goals need to know of the class they are read for.
 */
interface GoalContext
{
    /**
     * Of an attribute or a tag.
     *
     * @throws UnusableProblem
     */
    public function name(Node $node): string;

    /**
     * Of an attribute that is no number.
     *
     * @throws UnusableProblem
     */
    public function valuesName(Node $node): string;

    /**
     * @return array<string, list<string>> student id => ids
     *
     * @throws UnusableProblem
     */
    public function wishes(Node $node): array;
}
