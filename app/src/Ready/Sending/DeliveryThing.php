<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

/**
 * See Delivery.
 */
final readonly class DeliveryThing
{
    /**
     * @param string       $name     of the group; '' for a letter
     * @param list<string> $audience
     * @param int|null     $dueAt    milliseconds since 1970
     * @param int|null     $at       milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public DeliveryKind $kind,
        public string $target,
        public string $name,
        public ?string $theirId,
        public string $digest,
        public string $address,
        public array $audience,
        public ?int $dueAt,
        public bool $arrived,
        public ?string $failure,
        public ?int $at,
    ) {
    }
}
