<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints\Compound;
use Symfony\Component\Validator\Constraints\NotBlank;
use Symfony\Component\Validator\Constraints\Uuid;

/**
 * The id of something: never empty. Null where the field may be left out.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Id extends Compound
{
    private const MESSAGE = 'http.this_not_id_anything';

    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [new NotBlank(message: self::MESSAGE, allowNull: true), new Uuid(message: self::MESSAGE)];
    }
}
