<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Link;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Rooms\Exception\UnusableLink;
use FreshHuddle\Core\Rooms\Link;

/**
 * The links that a class meets by: pasted once, they serve any groups in order, in any lesson, until others are pasted.
 */
final readonly class StandingLinks
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return list<Link> for the first group, the second, …
     */
    public function forClass(SchoolClass $class): array
    {
        $links = [];
        foreach (
            $this->em->getRepository(StandingLink::class)->findBy(
                ['class' => $class],
                ['position' => 'ASC'],
            ) as $standing
        ) {
            try {
                $links[] = Link::read($standing->link);
            } catch (UnusableLink) {
                // it was one when it was taken
            }
        }

        return $links;
    }

    /**
     * These serve from now on. Fewer than there were leave the rest as it is: they are for the groups of larger
     * classes.
     *
     * @param list<Link> $links
     */
    public function keep(SchoolClass $class, array $links): void
    {
        $normal = array_map(static fn (Link $link): string => $link->normal, $links);
        $rest = array_filter(
            \array_slice($this->forClass($class), \count($links)),
            static fn (Link $link): bool => !\in_array($link->normal, $normal, true),
        );
        foreach ($this->em->getRepository(StandingLink::class)->findBy(['class' => $class]) as $before) {
            $this->em->remove($before);
        }
        $this->em->flush();
        foreach ([...$links, ...array_values($rest)] as $position => $link) {
            $this->em->persist(new StandingLink($class, $position, $link->address));
        }
        $this->em->flush();
    }
}
