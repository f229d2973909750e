<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Uid\Uuid;

/**
 * Addresses that open something to whoever has them: nobody else can guess them, and a higher number ends all before
 * it.
 */
final readonly class SignedAddress
{
    /** How such a token looks, for routes. */
    public const PATTERN = '[1-9A-HJ-NP-Za-km-z]{22}\.[A-Za-z0-9_-]{22}';

    public function __construct(#[Autowire('%env(APP_SECRET)%'), \SensitiveParameter] private string $secret)
    {
    }

    /**
     * @param string $what   what it opens: a token for one thing opens no other
     * @param string $id     a UUID
     * @param int    $number how often it has been renewed
     *
     * @return string the id in base 58, and 22 signs (132 bits) that only we can work out for it
     */
    public function create(string $what, string $id, int $number): string
    {
        $signature = base64_encode(
            hash_hmac('sha256', "{$what} {$id}".(0 === $number ? '' : " {$number}"), $this->secret, true),
        );

        return Uuid::fromString($id)->toBase58().'.'.substr(strtr($signature, '+/', '-_'), 0, 22);
    }

    /**
     * @return string|null the id in it, which is not yet proven; null where there is none
     */
    public static function id(string $token): ?string
    {
        if (1 !== preg_match('/^'.self::PATTERN.'$/D', $token)) {
            return null;
        }
        try {
            return Uuid::fromBase58(substr($token, 0, 22))->toRfc4122();
        } catch (\InvalidArgumentException) {
            return null;
        }
    }

    public function opens(string $what, string $id, int $number, string $token): bool
    {
        return hash_equals($this->create($what, $id, $number), $token);
    }
}
