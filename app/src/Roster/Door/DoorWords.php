<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Door;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Roster\Door\DoorWord;
use Random\Randomizer;

/**
 * Gives classes their door word.
 */
final readonly class DoorWords
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @return string one that no class has
     */
    public function fresh(): string
    {
        $random = new Randomizer();
        do {
            $word = DoorWord::draw($random)->text();
        } while (0 < $this->em->getRepository(SchoolClass::class)->count(['doorWord' => $word]));

        return $word;
    }
}
