<?php

declare(strict_types=1);

namespace FreshHuddle\Core;

/**
 * Something to be said to a person: which sentence, and what stands in it. Whoever shows it words it (in the
 * application: the catalogue of the area, the part of the code before the first dot).
 *
 * @phpstan-type Value int|float|string|Message|list<int|float|string|Message>
 */
final readonly class Message
{
    /**
     * @param string               $code   as “grouping.rule.apart”
     * @param array<string, Value> $values by name; a list is worded as one (“Ada, Ben and Chi”)
     */
    public function __construct(public string $code, public array $values = [])
    {
    }

    /**
     * The same with some values set otherwise.
     *
     * @param array<string, Value> $values
     */
    public function with(array $values): self
    {
        return new self($this->code, $values + $this->values);
    }
}
