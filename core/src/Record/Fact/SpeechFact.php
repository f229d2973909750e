<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Fact;

/**
 * How long a student spoke in one place, in rooms of our own.
 */
final readonly class SpeechFact
{
    /**
     * @param string $place `main`, or the id of a group or of a side room
     * @param int    $ms    at least 0
     */
    public function __construct(public string $student, public string $place, public int $ms)
    {
    }
}
