<?php

declare(strict_types=1);

namespace FreshHuddle\Core\DryRun\Rehearsal;

use FreshHuddle\Core\DryRun\Act;
use FreshHuddle\Core\DryRun\ActKind;
use FreshHuddle\Core\DryRun\Draw;
use FreshHuddle\Core\DryRun\Sight;
use FreshHuddle\Core\Lesson\Phase;
use FreshHuddle\Core\Lesson\RoundState;
use FreshHuddle\Core\Live\Command\SendOut;
use FreshHuddle\Core\Live\Moving\ExpectedPlace;
use FreshHuddle\Core\Live\Moving\Moves;
use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Live\Visit\GroupAt;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * One round of a rehearsal, second by second: from when groups are sent out until a while after the call back.
 */
final class RoundRehearsal
{
    private const SECOND = 1_000;
    /** After the call back everybody is watched for so many milliseconds. */
    private const WATCHED = 120_000;
    /** Where everybody is, is looked at so often. Milliseconds. */
    private const WATCHED_EVERY = 5_000;
    /** Whoever is not where they belong is called there after so long, and once a minute. Milliseconds. */
    private const FETCHED_AFTER = 30_000;
    private const FETCHED_AGAIN = 60_000;
    /** Whoever is not in place for so long is lost. Milliseconds. */
    private const LOST_AFTER = 120_000;

    private readonly RoundState $state;
    /** Nobody is moved in a rehearsal. */
    private readonly Moves $moves;
    private readonly int $outAt;
    private readonly int $calledAt;
    private readonly int $overAt;
    /** @var array<string, Table> by id */
    private array $tables = [];
    /** @var array<string, Table> by student */
    private array $tableOf = [];
    /** @var list<Walk> */
    private array $walks = [];
    private ?Phase $phaseBefore = null;
    /** @var array<string, Sight> what each saw last */
    private array $sights = [];
    /** @var array<string, true> who had come when groups were sent out */
    private array $sentOut = [];
    /** @var array<string, int> when each was at their table for the first time */
    private array $thereAt = [];
    /** @var array<string, int> when each was back, of those who were there */
    private array $backAt = [];
    /** @var array<string, int> since when somebody is not where they belong */
    private array $awaySince = [];
    /** @var array<string, true> */
    private array $lost = [];

    /**
     * @param array<string, Person> $people by id
     * @param Draw                  $draw   for those who go round
     */
    public function __construct(
        private readonly PlannedLesson $lesson,
        private readonly PlannedRound $round,
        private readonly array $people,
        Draw $draw,
    ) {
        $sendOut = new SendOut($round->lookSeconds, $round->minutes, $round->backSeconds);
        $this->state = RoundState::after($sendOut->decide(RoundState::planned(), $round->beginsAt));
        $this->moves = new Moves();
        $this->outAt = $this->state->outAt ?? $round->beginsAt;
        $this->calledAt = $this->state->comingBackFrom() ?? $this->outAt;
        $this->overAt = $this->state->comingBackUntil() ?? $this->calledAt;
        foreach ($round->tables as $plan) {
            $table = new Table($plan);
            $this->tables[$plan->id] = $table;
            foreach ($plan->students as $student) {
                $this->tableOf[$student] = $table;
            }
        }
        for ($i = 0; $i < $lesson->visitors; ++$i) {
            $this->walks[] = new Walk($draw);
        }
    }

    public function run(): RehearsedRound
    {
        for ($now = $this->round->beginsAt; $now <= $this->overAt + self::WATCHED; $now += self::SECOND) {
            $phase = $this->state->phase($now);
            foreach ($this->people as $person) {
                $this->live($person, $phase, $now);
            }
            $this->phaseBefore = $phase;
            foreach ($this->walks as $walk) {
                Phase::Out === $phase
                    ? $walk->goOn($this->tables, fn (): array => $this->groups($now), $now, $this->outAt)
                    : $walk->end($now);
            }
        }
        foreach ($this->tables as $table) {
            $table->answer($this->calledAt);
        }

        return $this->result();
    }

    private function live(Person $person, Phase $phase, int $now): void
    {
        $table = $this->tableOf[$person->id] ?? null;
        $before = $this->sights[$person->id] ?? null;
        if ($now >= $person->mind->again || null === $before || $this->isOther($before, $person, $table, $phase)) {
            $sight = $this->sight($person, $table, $phase, $now);
            $this->sights[$person->id] = $sight;
            $this->note($person, $table, $person->act($sight, $now), $phase, $now);
        }
        if ($now === $this->outAt && $person->isIn) {
            $this->sentOut[$person->id] = true;
        }
        if (0 === $now % self::WATCHED_EVERY) {
            $this->watch($person, $table, $phase, $now);
        }
    }

    private function sight(Person $person, ?Table $table, Phase $phase, int $now): Sight
    {
        $expected = $this->expected($person, $table, $now);
        $isWorking = $phase->isOut() && null !== $table;

        return new Sight(
            $person->isIn,
            $expected->place,
            $expected->since,
            $person->fetchedAt,
            $this->lesson->takesIn,
            $isWorking,
            Phase::ComingBack === $phase ? $this->overAt : null,
            $isWorking ? $table->blanks($person->id, $now) : [],
            $table?->isCalling() ?? false,
            null !== $table && $table->isVisited,
        );
    }

    private function expected(Person $person, ?Table $table, int $now): ExpectedPlace
    {
        return $this->moves->expected($person->id, $table?->plan->id, $this->state, $now);
    }

    /**
     * Whether their page shows something else than before, apart from what stands on the worksheet. As Sight::isAs, but
     * without making a page for everybody every second: most of the time it is the same.
     */
    private function isOther(Sight $before, Person $person, ?Table $table, Phase $phase): bool
    {
        return $before->isIn !== $person->isIn
            || $before->fetchedAt !== $person->fetchedAt
            || $before->isCalling !== ($table?->isCalling() ?? false)
            || $before->isHelped !== (null !== $table && $table->isVisited)
            || $phase !== $this->phaseBefore;
    }

    /**
     * @param list<Act> $acts
     */
    private function note(Person $person, ?Table $table, array $acts, Phase $phase, int $now): void
    {
        foreach ($acts as $act) {
            if (ActKind::Go === $act->kind) {
                $this->noteWay($person, $table, $act->place, $phase, $now);
            } elseif (ActKind::Write === $act->kind && null !== $act->slot && null !== $table) {
                $table->write($person->id, $act->slot, \count($this->members($table)), $now);
            } elseif (ActKind::Call === $act->kind && $now < $this->calledAt) {
                $table?->call($now);
            }
        }
    }

    private function noteWay(Person $person, ?Table $table, ?string $place, Phase $phase, int $now): void
    {
        if ($phase->isOut() && $place === $table?->plan->id) {
            $this->thereAt[$person->id] ??= $now;
        } elseif (Phase::Back === $phase && MainSession::PLACE === $place && isset($this->thereAt[$person->id])) {
            $this->backAt[$person->id] ??= $now;
        }
    }

    private function watch(Person $person, ?Table $table, Phase $phase, int $now): void
    {
        $expected = $this->expected($person, $table, $now);
        if (!$person->isIn || null === $expected->place) {
            return;
        }
        $where = $person->whereabouts($expected->place, $expected->since, $now, $this->lesson->sight);
        if (Place::InPlace === $where || Place::OnTheWay === $where) {
            unset($this->awaySince[$person->id]);

            return;
        }
        if ($now - ($this->awaySince[$person->id] ??= $now) >= self::LOST_AFTER && $phase->isOut()) {
            $this->lost[$person->id] = true;
        }
        if (
            Phase::Looking !== $phase
            && $now - $expected->since >= self::FETCHED_AFTER
            && $now - ($person->fetchedAt ?? 0) >= self::FETCHED_AGAIN
        ) {
            $person->fetchedAt = $now;
        }
    }

    /**
     * @return list<Person> who sit there and have come
     */
    private function members(Table $table): array
    {
        $members = [];
        foreach ($table->plan->students as $id) {
            $person = $this->people[$id] ?? null;
            if (null !== $person && $person->isIn) {
                $members[] = $person;
            }
        }

        return $members;
    }

    /**
     * @return list<GroupAt>
     */
    private function groups(int $now): array
    {
        $groups = [];
        foreach ($this->tables as $table) {
            $members = $this->members($table);
            $missing = array_filter($members, fn (Person $one): bool => isset($this->awaySince[$one->id]));
            $groups[] = $table->at(\count($members), \count($missing));
        }

        return $groups;
    }

    private function result(): RehearsedRound
    {
        $seconds = static fn (int $from, int $to): float => ($to - $from) / self::SECOND;
        $moved = $back = $visits = $done = $doneAfter = $calls = [];
        foreach (array_keys($this->sentOut) as $id) {
            if (isset($this->tableOf[$id])) {
                $moved[] = $seconds($this->outAt, $this->thereAt[$id] ?? $this->calledAt);
            }
        }
        foreach (array_keys($this->thereAt) as $id) {
            $back[] = $seconds($this->calledAt, $this->backAt[$id] ?? $this->overAt + self::WATCHED);
        }
        foreach ($this->tables as $id => $table) {
            $visits[$id] = $table->visits;
            $done[$id] = $table->progress(\count($this->members($table)));
            $doneAfter[$id] = null === $table->doneAt() ? null : $seconds($this->outAt, $table->doneAt());
            $calls = [...$calls, ...$table->waits()];
        }
        sort($moved);
        sort($back);

        return new RehearsedRound(
            $this->round->number,
            \count($this->sentOut),
            $moved,
            \count($this->lost),
            $back,
            $visits,
            $done,
            $doneAfter,
            $calls,
        );
    }
}
