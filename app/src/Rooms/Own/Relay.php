<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Where sound goes from and to networks that let no UDP through: a TURN server that checks by itself the name and
 * password that are made here (J. Uberti, “A REST API for access to TURN services”, 2013).
 */
final readonly class Relay
{
    /** Seconds: a day at school. */
    private const LASTS = 36_000;

    /**
     * @param string $address host and port; '' where there is none
     */
    public function __construct(
        private ClockInterface $clock,
        #[Autowire('%env(RELAY_ADDRESS)%')]
        private string $address,
        #[Autowire('%env(RELAY_SECRET)%'), \SensitiveParameter]
        private string $secret,
    ) {
    }

    public function forParticipant(Participant $participant): ?RelayKey
    {
        if ('' === $this->address) {
            return null;
        }
        $name = ($this->clock->now()->getTimestamp() + self::LASTS).':'.$participant->id;

        return new RelayKey(
            "turn:{$this->address}?transport=tcp",
            $name,
            base64_encode(hash_hmac('sha1', $name, $this->secret, true)),
        );
    }
}
