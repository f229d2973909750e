<?php

declare(strict_types=1);

$files = (new PhpCsFixer\Finder())
    ->in([
        __DIR__.'/app/src',
        __DIR__.'/app/migrations',
        __DIR__.'/app/tests',
        __DIR__.'/app/public',
        __DIR__.'/core',
        __DIR__.'/standins/src',
        __DIR__.'/standins/tests',
        __DIR__.'/standins/public',
        __DIR__.'/ops',
    ])
    ->append([__DIR__.'/bin/console', __FILE__]);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        '@PHP82Migration' => true,
        'declare_strict_types' => true,
        'native_function_invocation' => [
            'include' => ['@compiler_optimized'],
            'scope' => 'namespaced',
            'strict' => true,
        ],
        // A long description goes on under its tag, not in a narrow column at the far right.
        'phpdoc_align' => false,
        'phpdoc_to_comment' => false,
        'single_line_throw' => false,
        'php_unit_method_casing' => ['case' => 'snake_case'],
        'trailing_comma_in_multiline' => ['elements' => ['arguments', 'arrays', 'match', 'parameters']],
        'void_return' => true,
    ])
    ->setFinder($files);
