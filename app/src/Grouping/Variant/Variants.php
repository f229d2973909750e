<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Variant;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Desk\DeskSettings;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorJson;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\Proposal\Several\ProposedGroup;
use FreshHuddle\App\Grouping\Proposal\Why\Judge;
use FreshHuddle\Core\Grouping\Group;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Floors laid aside, to be held against another and taken up again.
 */
final readonly class Variants
{
    private const MOST = 12;

    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private FloorStore $floors,
        private Judge $judge,
    ) {
    }

    /**
     * @throws GroupingRefused if too many lie there already
     */
    public function keep(Grouping $grouping, string $name): void
    {
        $this->hasRoom($grouping);
        $this->em->persist(
            new FloorVariant(
                Uuid::v7()->toRfc4122(),
                $grouping,
                trim($name),
                FloorJson::bag($this->floors->now($grouping->id)),
                $this->clock->now(),
            ),
        );
        $this->em->flush();
    }

    /**
     * @throws GroupingRefused if there is no such variant
     */
    public function drop(Grouping $grouping, string $variant): void
    {
        $this->forVariant($grouping, $variant)->removedAt ??= $this->clock->now();
        $this->em->flush();
    }

    /**
     * @throws GroupingRefused if too many lie there by now, or there is no such variant
     */
    public function restore(Grouping $grouping, string $variant): void
    {
        $found = $this->forVariant($grouping, $variant);
        if (null !== $found->removedAt) {
            $this->hasRoom($grouping);
            $found->removedAt = null;
            $this->em->flush();
        }
    }

    private function forVariant(Grouping $grouping, string $variant): FloorVariant
    {
        return $this->em
            ->getRepository(FloorVariant::class)
            ->findOneBy(['id' => $variant, 'grouping' => $grouping]) ?? throw GroupingRefused::missing();
    }

    private function hasRoom(Grouping $grouping): void
    {
        if (\count($this->rows($grouping)) >= self::MOST) {
            throw GroupingRefused::unusable('grouping.too_many_variants', 'name', ['most' => self::MOST]);
        }
    }

    /**
     * @return list<VariantView> with how each stands against the goals
     */
    public function forGrouping(Grouping $grouping, DeskSettings $settings): array
    {
        return array_map(function (FloorVariant $kept) use ($grouping, $settings): VariantView {
            $floor = FloorJson::ofBag($kept->floor);

            return new VariantView(
                $kept->id,
                $kept->name,
                array_map(
                    static fn (Group $group): ProposedGroup => new ProposedGroup(
                        $group->id,
                        $group->name,
                        $group->students,
                    ),
                    $floor->groups,
                ),
                $this->judge->standings($grouping, $floor, $settings)->goals,
            );
        }, $this->rows($grouping));
    }

    /**
     * @return list<FloorVariant>
     */
    private function rows(Grouping $grouping): array
    {
        return $this->em
            ->getRepository(FloorVariant::class)
            ->findBy(['grouping' => $grouping, 'removedAt' => null], ['id' => 'ASC']);
    }
}
