<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Lesson\Exception;

/**
 * A running order no lesson can have. The code tells which way; the position (from 0) where, if it is at one place.
 */
final class UnusableOrder extends \DomainException
{
    private function __construct(public readonly string $reason, public readonly ?int $position, public readonly int $limit, string $message)
    {
        parent::__construct($message);
    }

    public static function noRound(): self
    {
        return new self('noRound', null, 1, 'A running order needs at least one round.');
    }

    public static function tooMany(int $limit): self
    {
        return new self('tooMany', null, $limit, \sprintf('A running order has at most %d segments.', $limit));
    }

    public static function minutes(int $position, int $limit): self
    {
        return new self('minutes', $position, $limit, \sprintf('Segment %d: between 1 and %d minutes, please.', $position + 1, $limit));
    }

    public static function twice(int $position): self
    {
        return new self('twice', $position, 1, \sprintf('Segment %d stands in the order twice.', $position + 1));
    }
}
