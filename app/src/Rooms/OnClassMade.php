<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms;

use FreshHuddle\App\Rooms\Source\RoomSources;
use FreshHuddle\App\Roster\Event\ClassMade;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * A new class meets where new classes do.
 */
#[AsEventListener]
final readonly class OnClassMade
{
    public function __construct(private RoomSources $sources)
    {
    }

    public function __invoke(ClassMade $event): void
    {
        $this->sources->begin($event->class);
    }
}
