<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\SignIn;

use FreshHuddle\App\Account\Teacher;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * A cookie that stays with a device after the sign-in is over. It opens nothing; it says that the account's owner has
 * been here, so that strangers' failures elsewhere do not lock the owner out. It ends when the password is changed.
 */
final readonly class KnownDevice
{
    public const COOKIE = 'fh_been_here';
    /** Seconds. */
    public const LASTS = 31_536_000;
    /** So many teachers may share a device. */
    private const MOST = 4;

    public function __construct(#[Autowire('%env(APP_SECRET)%'), \SensitiveParameter] private string $secret)
    {
    }

    public function holds(string $cookie, Teacher $teacher): bool
    {
        $own = $this->mark($teacher);
        foreach (\array_slice(explode('.', $cookie), 0, self::MOST) as $mark) {
            if (hash_equals($own, $mark)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param string $cookie as it is now
     *
     * @return string the cookie with this teacher's mark first
     */
    public function with(string $cookie, Teacher $teacher): string
    {
        $others = array_filter(
            explode('.', $cookie),
            fn (string $mark): bool => 1 === preg_match('/^[0-9a-f]{40}$/D', $mark) && $mark !== $this->mark($teacher),
        );

        return implode('.', \array_slice([$this->mark($teacher), ...array_values($others)], 0, self::MOST));
    }

    private function mark(Teacher $teacher): string
    {
        return substr(
            hash_hmac('sha256', $teacher->id.'|'.$teacher->getPassword(), 'known-device|'.$this->secret),
            0,
            40,
        );
    }
}
