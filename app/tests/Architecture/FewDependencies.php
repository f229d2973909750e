<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Param;
use PhpParser\Node\Stmt\ClassMethod;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\IdentifierRuleError;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * A service that needs more than ten others does more than one thing. What a class keeps for itself counts; a view's
 * public fields do not.
 *
 * @implements Rule<ClassMethod>
 */
final class FewDependencies implements Rule
{
    private const MOST = 10;

    public function getNodeType(): string
    {
        return ClassMethod::class;
    }

    /**
     * @return list<IdentifierRuleError>
     */
    public function processNode(Node $node, Scope $scope): array
    {
        if ('__construct' !== $node->name->toString() || str_contains($scope->getFile(), '/tests/')) {
            return [];
        }
        $kept = array_filter($node->params, static fn (Param $param): bool => $param->isPrivate());

        return \count($kept) <= self::MOST
            ? []
            : [
                RuleErrorBuilder::message(\count($kept).' dependencies; '.self::MOST.' at most.')
                    ->identifier('freshHuddle.manyDependencies')
                    ->build(),
            ];
    }
}
