<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\HandOut;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Lesson\Event\SegmentBegun;
use FreshHuddle\App\Lesson\Order\Segment;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/**
 * Work that everybody does alone is there when its segment begins, also where it was planned after everything was set
 * up.
 */
#[AsEventListener]
final readonly class OnSegmentBegun
{
    public function __construct(private EntityManagerInterface $em, private HandOutService $handOuts)
    {
    }

    public function __invoke(SegmentBegun $event): void
    {
        $segment = $this->em->find(Segment::class, $event->segment);
        if (null !== $segment) {
            $this->handOuts->makeAlone($segment);
        }
    }
}
