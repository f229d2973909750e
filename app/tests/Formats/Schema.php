<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Formats;

use Opis\JsonSchema\Validator;

/**
 * A JSON Schema of docs/formats.
 */
final class Schema
{
    public static function allows(string $name, string $json): bool
    {
        $schema = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 3)."/docs/formats/{$name}.schema.json"),
            false,
            64,
            \JSON_THROW_ON_ERROR,
        );
        \assert($schema instanceof \stdClass);
        unset($schema->{'$id'}); // no address: the validator wants one that could be fetched

        return (new Validator())->validate(json_decode($json, false, 64, \JSON_THROW_ON_ERROR), $schema)->isValid();
    }
}
