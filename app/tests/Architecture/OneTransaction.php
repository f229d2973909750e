<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Identifier;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\IdentifierRuleError;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * Whoever writes several things together does so through `Transaction`: only then what is told to others waits until
 * all of it stands.
 *
 * @implements Rule<MethodCall>
 */
final class OneTransaction implements Rule
{
    private const OTHERS = ['wrapintransaction', 'transactional', 'begintransaction'];

    public function getNodeType(): string
    {
        return MethodCall::class;
    }

    /**
     * @return list<IdentifierRuleError>
     */
    public function processNode(Node $node, Scope $scope): array
    {
        if (
            !$node->name instanceof Identifier
            || !\in_array($node->name->toLowerString(), self::OTHERS, true)
            || !str_contains($scope->getFile(), '/app/src/')
            || str_ends_with($scope->getFile(), '/Database/Transaction.php')
        ) {
            return [];
        }

        return [
            RuleErrorBuilder::message('Write together through Transaction::run().')
                ->identifier('freshHuddle.oneTransaction')
                ->build(),
        ];
    }
}
