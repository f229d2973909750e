<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Desk;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Floor\FloorChanges;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Grouping\History\GroupingUsage;
use FreshHuddle\App\Grouping\Seat\Numbers;
use FreshHuddle\App\Roster\SchoolClass;
use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * The groupings of a class: made, set, copied, taken away and brought back.
 */
final readonly class Groupings
{
    public function __construct(
        private FloorStore $floors,
        private FloorChanges $changes,
        private DeskNotes $notes,
        private Numbers $numbers,
        private GroupingUsage $usage,
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private Transaction $transaction,
    ) {
    }

    public function create(SchoolClass $class, string $name): Grouping
    {
        $grouping = new Grouping(Uuid::v7()->toRfc4122(), $class, $name);
        $this->em->persist($grouping);
        $this->em->flush();
        $this->floors->create($grouping->id);

        return $grouping;
    }

    /**
     * @return list<Grouping> those that follow each other, this one among them; by itself if it stands for itself
     */
    public function series(Grouping $grouping): array
    {
        if (null === $grouping->series) {
            return [$grouping];
        }

        return array_values(
            $this->em
                ->getRepository(Grouping::class)
                ->findBy(['series' => $grouping->series, 'removedAt' => null], ['seriesNumber' => 'ASC']),
        );
    }

    /**
     * Groupings for so many rounds, the last of them this one. Those that were made for it before are used again, so
     * that none are left over; what there are too many of is taken away.
     *
     * @param non-empty-list<string> $names of the rounds before the last
     *
     * @return list<Grouping> in the order of the rounds
     */
    public function inSeries(Grouping $last, array $names): array
    {
        $before = array_values(
            array_filter($this->series($last), static fn (Grouping $grouping): bool => $grouping !== $last),
        );
        $series = $last->series ?? Uuid::v7()->toRfc4122();
        $all = [];
        foreach ($names as $i => $name) {
            $all[] = $grouping = array_shift($before) ?? $this->create($last->class, '');
            $grouping->name = mb_substr($last->name.' · '.$name, 0, 80);
            [$grouping->series, $grouping->seriesNumber] = [$series, $i + 1];
        }
        foreach ($before as $grouping) {
            [$grouping->series, $grouping->seriesNumber] = [null, null];
            if (null === $this->usage->lessonOf($grouping->id)) {
                $grouping->removedAt = $this->clock->now();
            }
        }
        [$last->series, $last->seriesNumber] = [$series, \count($names) + 1];
        $this->em->flush();

        return [...$all, $last];
    }

    /**
     * Its name, how the desk is set, what the numbers carry; and what groups of the class are called.
     */
    public function set(Grouping $grouping, SetGrouping $request): void
    {
        $grouping->name = trim($request->name ?? $grouping->name);
        if (null !== $request->groupNames) {
            $before = $grouping->class->groupNames;
            $grouping->class->groupNames = array_values(array_unique(array_map(trim(...), $request->groupNames)));
        }
        $this->em->flush();
        if (isset($before) && $before !== $grouping->class->groupNames) {
            $this->renameTables($grouping, $before);
        }
        if (null !== $request->settings) {
            $this->notes->keepSettings($grouping->id, $request->settings);
        }
        if (null !== $request->numbers) {
            $this->numbers->keep($grouping, $request->numbers);
        }
    }

    /**
     * Tables that stand under a name nobody chose for them take the class's names, in order.
     *
     * @param list<string> $before the class's names until now
     */
    private function renameTables(Grouping $grouping, array $before): void
    {
        $names = $grouping->class->groupNames;
        $step = $this->floors->steps($grouping->id)['step'];
        $isChosen = static fn (Group $group): bool => !\in_array($group->name, $before, true)
            && !Floor::isDefaultName($group->name);
        $now = $this->floors->now($grouping->id);
        $free = array_values(
            array_diff(
                $names,
                array_map(static fn (Group $group): string => $group->name, array_filter($now->groups, $isChosen)),
            ),
        );
        $renamed = [];
        foreach ($now->groups as $group) {
            $renamed[] = $isChosen($group) || [] === $free ? $group : $group->named(array_shift($free));
        }
        $called = static fn (Group $group): string => $group->name;
        if (array_map($called, $renamed) !== array_map($called, $now->groups)) {
            $this->changes->change(
                $grouping,
                $step,
                'rename',
                static fn (Floor $floor): Floor => new Floor($renamed, $floor->fixed),
            );
        }
    }

    /**
     * @throws GroupingRefused while a lesson uses it
     */
    public function remove(Grouping $grouping): void
    {
        $this->transaction->run(function () use ($grouping): void {
            $this->em->refresh($grouping, LockMode::PESSIMISTIC_WRITE); // a lesson that takes it up holds it too
            if (null !== $this->usage->lessonOf($grouping->id)) {
                throw GroupingRefused::outdated('grouping.in_use');
            }
            $grouping->removedAt ??= $this->clock->now();
        });
    }

    public function restore(Grouping $grouping): void
    {
        $grouping->removedAt = null;
        $this->em->flush();
    }

    /**
     * A grouping with the same floor, settings and numbers, to be changed on its own.
     */
    public function copy(Grouping $grouping, string $name): Grouping
    {
        return $this->transaction->run(function () use ($grouping, $name): Grouping {
            $copy = $this->create($grouping->class, mb_substr($name, 0, 80));
            $groups = array_map(
                static fn (Group $group): Group => new Group(
                    Uuid::v7()->toRfc4122(),
                    $group->name,
                    $group->students,
                    $group->mark,
                ),
                $this->floors->now($grouping->id)->groups,
            );
            $this->floors->append($copy->id, 0, 'take', new Floor($groups));
            $this->notes->keepSettings($copy->id, $this->notes->settings($grouping->id));
            $this->numbers->keep($copy, $this->numbers->forGrouping($grouping));

            return $copy;
        });
    }
}
