<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use FreshHuddle\App\Http\SecureLink;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Where a device listens: an address that names its one channel, with an end and a signature that nginx checks by
 * itself (secure_link over the same value that it subscribes to). It stays the same for some minutes, so that pages can
 * come back without asking us.
 */
final readonly class StreamAddress
{
    /** Seconds. */
    private const STEP = 300;
    private const LASTS = 900;
    /** A page asks for the next address so long before this one ends. */
    private const EARLY = 60;

    public function __construct(
        private ClockInterface $clock,
        #[Autowire('%env(STREAM_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    public function forChannel(string $channel): StreamView
    {
        $now = $this->clock->now()->getTimestamp();
        $until = intdiv($now, self::STEP) * self::STEP + self::LASTS;

        return new StreamView(
            SecureLink::create('/stream', $channel, $until, $this->secret),
            $until - $now - self::EARLY,
        );
    }
}
