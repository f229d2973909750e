<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use FreshHuddle\App\Roster\Exception\RosterRefused;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\RateLimiter\Policy\Rate;
use Symfony\Component\RateLimiter\Policy\TokenBucketLimiter;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\RateLimiter\Storage\CacheStorage;

/**
 * What slows guessing at the door. A school may sit behind one address, so only what is wrong counts, and what is right
 * is let through whatever else came from there; nginx keeps the pace of an address and of all together beside this.
 * What is right is limited only in how many names an address may take at once: a class gets in within a minute, one
 * script does not take all names in a second, and a page that has to wait tries again by itself.
 */
final readonly class DoorLimits
{
    /** So many of a class may come in at once from one address; then the class's rate counts. */
    private const AT_ONCE = 10;

    public function __construct(
        #[Target('door_words')]
        private RateLimiterFactoryInterface $words,
        #[Target('door_names')]
        private RateLimiterFactoryInterface $names,
        #[Target('door_names_of_class')]
        private RateLimiterFactoryInterface $namesOfClass,
        #[Target('door_waiting')]
        private RateLimiterFactoryInterface $waiting,
        #[Target('door_device')]
        private RateLimiterFactoryInterface $device,
        #[Autowire(service: 'cache.limits')]
        private CacheItemPoolInterface $pool,
    ) {
    }

    /**
     * @throws RosterRefused after too many
     */
    public function wrongWord(string $address): never
    {
        if (!$this->words->create($address)->consume()->isAccepted()) {
            throw RosterRefused::tooMuch('roster.door.too_many_words', 'doorWord');
        }
        throw RosterRefused::missing('roster.door.no_class', 'doorWord');
    }

    /**
     * @throws RosterRefused after too many
     */
    public function wrongPass(string $address): never
    {
        if (!$this->words->create($address)->consume()->isAccepted()) {
            throw RosterRefused::tooMuch('roster.door.too_many_words', 'pass');
        }
        throw RosterRefused::missing('roster.door.no_pass', 'pass');
    }

    /**
     * @throws RosterRefused $otherwise, after too many
     */
    public function wrongName(string $classId, string $address, RosterRefused $otherwise): never
    {
        $limiter = $this->names
            ->create($classId.'|'.$address)
            ->consume()
            ->isAccepted();
        if (!$limiter || !$this->namesOfClass->create($classId)->consume()->isAccepted()) {
            throw RosterRefused::tooMuch('roster.door.too_many_names', 'name');
        }
        throw $otherwise;
    }

    /**
     * Somebody who is not on the list is about to wait in the doorway.
     *
     * @throws RosterRefused after too many from one address
     */
    public function wait(string $classId, string $address): void
    {
        if (
            !$this->waiting
                ->create($classId.'|'.$address)
                ->consume()
                ->isAccepted()
        ) {
            throw RosterRefused::tooMuch('roster.door.too_many_waiting_here', 'name');
        }
    }

    /**
     * A name of the list is about to be taken, or waited for.
     *
     * @param int    $size   how many are in the class
     * @param string $device its cookie; '' for none
     *
     * @throws RosterRefused with the seconds to wait
     */
    public function claim(string $classId, string $address, string $device, int $size): void
    {
        if ('' !== $device && !$this->device->create(hash('sha256', $device))->consume()->isAccepted()) {
            throw RosterRefused::tooMuch('roster.door.several_people', 'name', 600);
        }
        $perSecond = max(1, (int) ceil($size / 45));
        $bucket = new TokenBucketLimiter(
            'door-claims-'.$classId.'-'.hash('sha256', $address),
            self::AT_ONCE,
            new Rate(new \DateInterval('PT1S'), $perSecond),
            new CacheStorage($this->pool),
        );
        $limit = $bucket->consume();
        if (!$limit->isAccepted()) {
            throw RosterRefused::tooMuch('roster.door.busy', null, 1);
        }
    }
}
