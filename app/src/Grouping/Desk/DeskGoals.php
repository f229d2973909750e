<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use FreshHuddle\Core\Grouping\Format\GoalContext;
use FreshHuddle\Core\Grouping\Format\Node;

/**
 * Reads goals as the desk sets them: wishes stand on the class list, not in the goal.
 */
final readonly class DeskGoals implements GoalContext
{
    private const LONGEST_NAME = 60;

    /**
     * @param array<string, list<string>> $wishes of the class, student id => ids
     */
    public function __construct(private array $wishes)
    {
    }

    public function name(Node $node): string
    {
        return $node->text(self::LONGEST_NAME);
    }

    public function valuesName(Node $node): string
    {
        return $node->text(self::LONGEST_NAME);
    }

    public function wishes(Node $node): array
    {
        return $this->wishes;
    }
}
