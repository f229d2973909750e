<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Stmt\ClassMethod;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\IdentifierRuleError;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * A function is read at a glance: no longer than sixty lines between its braces.
 *
 * @implements Rule<ClassMethod>
 */
final class ShortFunctions implements Rule
{
    private const MOST_LINES = 60;

    public function getNodeType(): string
    {
        return ClassMethod::class;
    }

    /**
     * @return list<IdentifierRuleError>
     */
    public function processNode(Node $node, Scope $scope): array
    {
        $statements = array_values($node->stmts ?? []);
        $first = $statements[0] ?? null;
        $last = $statements[\count($statements) - 1] ?? null;
        if (null === $first || null === $last || 1 === preg_match('#/(tests|migrations)/#', $scope->getFile())) {
            return [];
        }
        $lines = $last->getEndLine() - $first->getStartLine() + 1;

        return $lines <= self::MOST_LINES
            ? []
            : [
                RuleErrorBuilder::message("{$node->name->toString()} has {$lines} lines; split it.")
                    ->identifier('freshHuddle.longFunction')
                    ->build(),
            ];
    }
}
