<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live\Moving;

/**
 * Where a student is to be.
 */
final readonly class ExpectedPlace
{
    /**
     * @param string|null $place `main`, or the id of a group or a side room; null: nowhere, there is no seat for them
     * @param int         $since since when, milliseconds since 1970
     */
    public function __construct(public ?string $place, public int $since)
    {
    }
}
