<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints\All;
use Symfony\Component\Validator\Constraints\Compound;
use Symfony\Component\Validator\Constraints\Count;

/**
 * A list of ids, of at most so many.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Ids extends Compound
{
    /**
     * @param positive-int $most
     */
    public function __construct(private readonly int $most)
    {
        parent::__construct();
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [new Count(max: $this->most, maxMessage: 'http.so_many_at_most'), new All([new Id()])];
    }
}
