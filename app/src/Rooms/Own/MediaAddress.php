<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use FreshHuddle\App\Http\SecureLink;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Where a page reaches the media server: an address of our own that names who comes, with an end and a signature that
 * nginx checks by itself. It opens no room: that takes a token of the room's.
 */
final readonly class MediaAddress
{
    /** Seconds: long enough to connect, also over a poor line. */
    private const LASTS = 120;

    public function __construct(
        private ClockInterface $clock,
        #[Autowire('%env(MEDIA_ADDRESS_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    public function forParticipant(Participant $participant): string
    {
        $until = $this->clock->now()->getTimestamp() + self::LASTS;

        return SecureLink::create('/media', $participant->text(), $until, $this->secret);
    }
}
