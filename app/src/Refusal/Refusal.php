<?php

declare(strict_types=1);

namespace FreshHuddle\App\Refusal;

use FreshHuddle\Core\Message;
use FreshHuddle\Core\Refused;

/**
 * Something a service will not do, and why. Each area has its own; HTTP makes a problem document of it in one place.
 *
 * @phpstan-import-type Value from Message
 */
abstract class Refusal extends Refused
{
    /**
     * @param string|null $field      the field at fault, as the request names it
     * @param int|null    $retryAfter seconds after which it may be tried again
     */
    final protected function __construct(
        Message $says,
        public readonly RefusalKind $kind,
        public readonly ?string $field = null,
        public readonly ?int $retryAfter = null,
    ) {
        parent::__construct($says);
    }

    /**
     * @param array<string, Value> $values
     */
    public static function unusable(string $code, ?string $field = null, array $values = []): static
    {
        return new static(new Message($code, $values), RefusalKind::Unusable, $field);
    }

    /**
     * Unusable for a reason the computation has.
     */
    public static function because(Message $says, ?string $field = null): static
    {
        return new static($says, RefusalKind::Unusable, $field);
    }

    /**
     * @param array<string, Value> $values
     */
    public static function outdated(string $code, ?string $field = null, array $values = []): static
    {
        return new static(new Message($code, $values), RefusalKind::Outdated, $field);
    }

    public static function missing(string $code = 'http.missing', ?string $field = null): static
    {
        return new static(new Message($code), RefusalKind::Missing, $field);
    }

    public static function notAllowed(string $code): static
    {
        return new static(new Message($code), RefusalKind::NotAllowed);
    }

    public static function notSignedIn(string $code, ?string $field = null): static
    {
        return new static(new Message($code), RefusalKind::NotSignedIn, $field);
    }

    /**
     * @param int|null $retryAfter seconds
     */
    public static function tooMuch(string $code, ?string $field = null, ?int $retryAfter = null): static
    {
        return new static(new Message($code), RefusalKind::TooMuch, $field, $retryAfter);
    }
}
