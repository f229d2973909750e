<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Floor\FloorJson;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Grouping\Group;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Floors laid aside, to be held against another and taken up again.
 */
final readonly class Variants
{
    private const MOST = 12;

    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock, private FloorStore $floors, private Arranger $arranger)
    {
    }

    /**
     * @throws Problem 422 if too many lie there already
     */
    public function keep(Grouping $grouping, string $name): void
    {
        if (\count($this->rows($grouping)) >= self::MOST) {
            throw new Problem(422, \sprintf('%d variants lie here already. Throw one away first.', self::MOST), 'name');
        }
        $this->em->persist(new FloorVariant(Uuid::v7()->toRfc4122(), $grouping, trim($name), FloorJson::bag($this->floors->now($grouping->id)), $this->clock->now()));
        $this->em->flush();
    }

    public function drop(Grouping $grouping, string $variant): void
    {
        $found = $this->em->getRepository(FloorVariant::class)->findOneBy(['id' => $variant, 'grouping' => $grouping]);
        if (null !== $found) {
            $this->em->remove($found);
            $this->em->flush();
        }
    }

    /**
     * @return list<VariantView> with how each stands against the goals
     */
    public function of(Grouping $grouping, DeskSettings $settings): array
    {
        return array_map(function (FloorVariant $kept) use ($grouping, $settings): VariantView {
            $floor = FloorJson::ofBag($kept->floor);

            return new VariantView(
                $kept->id,
                $kept->name,
                array_map(static fn (Group $group): ProposedGroup => new ProposedGroup($group->id, $group->name, $group->students), $floor->groups),
                $this->arranger->standings($grouping, $floor, $settings)->goals,
            );
        }, $this->rows($grouping));
    }

    /**
     * @return list<FloorVariant>
     */
    private function rows(Grouping $grouping): array
    {
        return $this->em->getRepository(FloorVariant::class)->findBy(['grouping' => $grouping], ['id' => 'ASC']);
    }
}
