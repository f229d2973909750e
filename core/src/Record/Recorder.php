<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record;

use FreshHuddle\Core\Live\Place;
use FreshHuddle\Core\Record\Fact\CalledOnFact;
use FreshHuddle\Core\Record\Fact\CallFact;
use FreshHuddle\Core\Record\Fact\GroupFact;
use FreshHuddle\Core\Record\Fact\RunFact;
use FreshHuddle\Core\Record\Fact\SeatFact;
use FreshHuddle\Core\Record\Fact\SignFact;
use FreshHuddle\Core\Record\Fact\SpeechFact;
use FreshHuddle\Core\Record\Fact\StudentFact;
use FreshHuddle\Core\Record\Fact\VisitFact;
use FreshHuddle\Core\Record\Fact\WritingFact;
use FreshHuddle\Core\Rooms\MainSession;

/**
 * Works out a lesson's figures from its facts. O(n log n) in the facts.
 */
final class Recorder
{
    /** @var array<string, list<SignFact>> by student */
    private array $signs = [];
    /** @var array<string, list<array{RunFact, SeatFact}>> by student */
    private array $seats = [];
    /** @var array<string, list<WritingFact>> by student */
    private array $writing = [];
    /** @var array<string, int> how much was put in, by group */
    private array $putByGroup = [];

    private function __construct(private readonly Facts $facts)
    {
        foreach ($facts->signs as $sign) {
            $this->signs[$sign->student][] = $sign;
        }
        foreach ($facts->runs as $run) {
            foreach ($run->seats as $seat) {
                $this->seats[$seat->student][] = [$run, $seat];
            }
        }
        foreach ($facts->writing as $writing) {
            $this->writing[$writing->student][] = $writing;
            $this->putByGroup[$writing->group ?? ''] = ($this->putByGroup[$writing->group ?? ''] ?? 0) + $writing->put;
        }
    }

    public static function record(Facts $facts): LessonRecord
    {
        $recorder = new self($facts);
        $groups = [];
        foreach ($facts->runs as $run) {
            foreach ($run->groups as $group) {
                $groups[] = $recorder->group($run, $group);
            }
        }

        return new LessonRecord($facts, array_map($recorder->student(...), $facts->students), $groups);
    }

    private function student(StudentFact $student): StudentFigures
    {
        $id = $student->id;
        $seats = $this->seats[$id] ?? [];
        $presence = $this->presence($id);
        $in = ['inPlace' => 0, 'elsewhere' => 0, 'away' => 0];
        foreach ($seats as [, $seat]) {
            foreach ($presence as [$span, $sign]) {
                $in[self::bin($sign)] += $span->shared($seat->from, $seat->to);
            }
        }
        $writing = $this->writing[$id] ?? [];
        $groups = array_map(static fn (array $one): string => $one[1]->group, $seats);
        foreach ($writing as $one) {
            $groups[] = $one->group ?? '';
        }
        $seen = array_filter($this->signs[$id] ?? [], static fn (SignFact $sign): bool => $sign->place->isSeen());
        $exits = array_filter($this->facts->exits, static fn ($exit): bool => $exit->student === $id);
        $called = array_filter($this->facts->calledOn, static fn (CalledOnFact $one): bool => $one->student === $id);
        $speech = array_filter($this->facts->speech, static fn (SpeechFact $one): bool => $one->student === $id);
        $passed = \count(array_filter($called, static fn (CalledOnFact $one): bool => $one->passed));
        $last = [] === $seats ? null : $seats[array_key_last($seats)][1];

        return new StudentFigures(
            $id,
            $student->name,
            $last?->group,
            [] === $seen ? null : $seen[array_key_first($seen)]->at,
            array_sum(array_map(static fn (array $one): int => $one[1]->to - $one[1]->from, $seats)),
            $in['inPlace'],
            $in['elsewhere'],
            $in['away'],
            array_sum(array_map(static fn (WritingFact $one): int => $one->put, $writing)),
            array_sum(
                array_map(
                    fn (string $group): int => '' === $group ? 0 : $this->putByGroup[$group] ?? 0,
                    array_unique($groups),
                ),
            ),
            \count(array_unique(array_map(static fn (WritingFact $one): string => $one->slot, $writing))),
            \count(array_filter($this->facts->calls, static fn (CallFact $one): bool => $one->student === $id)),
            \count($called) - $passed,
            $passed,
            array_sum(array_map(static fn ($exit): int => $exit->answered, $exits)),
            array_sum(array_map(static fn ($exit): int => $exit->of, $exits)),
            array_sum(array_map(static fn (SpeechFact $one): int => $one->ms, $speech)),
            $this->strip($presence, $seats),
        );
    }

    /**
     * @return list<array{Span, SignFact|null}> from the beginning of the lesson to its end; null: nothing is known
     */
    private function presence(string $student): array
    {
        $presence = [];
        $from = $this->facts->begunAt;
        $now = null;
        foreach ($this->signs[$student] ?? [] as $sign) {
            $at = min($this->facts->endedAt, max($from, $sign->at));
            if ($at > $from) {
                $presence[] = [new Span($from, $at), $now];
            }
            [$from, $now] = [$at, $sign];
        }
        if ($from < $this->facts->endedAt) {
            $presence[] = [new Span($from, $this->facts->endedAt), $now];
        }

        return $presence;
    }

    /**
     * @return 'inPlace'|'elsewhere'|'away'
     */
    private static function bin(?SignFact $sign): string
    {
        return match ($sign?->place) {
            Place::InPlace => 'inPlace',
            Place::Elsewhere, Place::LeftBehind, Place::OnTheWay => 'elsewhere',
            Place::Lost, Place::Excused, null => 'away',
        };
    }

    /**
     * @param list<array{Span, SignFact|null}> $presence
     * @param list<array{RunFact, SeatFact}>   $seats
     *
     * @return list<StripSpan>
     */
    private function strip(array $presence, array $seats): array
    {
        $cuts = [];
        foreach ($seats as [, $seat]) {
            array_push($cuts, $seat->from, $seat->to);
        }
        sort($cuts);
        $strip = [];
        foreach ($presence as [$span, $sign]) {
            $from = $span->from;
            foreach ([...$cuts, $span->to] as $cut) {
                $to = min($span->to, $cut);
                if ($to <= $from) {
                    continue;
                }
                [$kind, $group] = self::placeAt($from, $sign, $seats);
                $last = end($strip);
                if (false !== $last && $last->kind === $kind && $last->group === $group) {
                    array_pop($strip);
                    $from = $last->from;
                }
                $strip[] = new StripSpan($from, $to, $kind, $group);
                $from = $to;
            }
        }

        return $strip;
    }

    /**
     * @param list<array{RunFact, SeatFact}> $seats
     *
     * @return array{StripKind, string|null}
     */
    private static function placeAt(int $at, ?SignFact $sign, array $seats): array
    {
        $bin = self::bin($sign);
        if ('inPlace' !== $bin) {
            return ['away' === $bin ? StripKind::Away : StripKind::Elsewhere, null];
        }
        foreach ($seats as [, $seat]) {
            if ($seat->from <= $at && $at < $seat->to) {
                return match (true) {
                    MainSession::PLACE === $sign?->where => [StripKind::Main, null],
                    null !== $sign?->where && $seat->group !== $sign->where => [StripKind::SideRoom, null],
                    default => [StripKind::Group, $seat->group],
                };
            }
        }

        return [StripKind::Main, null];
    }

    private function group(RunFact $run, GroupFact $group): GroupFigures
    {
        $visits = array_values(
            array_filter(
                $this->facts->visits,
                static fn (VisitFact $visit): bool => $visit->group === $group->id
                    && $visit->from < $run->to
                    && $visit->to > $run->from,
            ),
        );
        $waits = array_map(
            static fn (CallFact $call): int => $call->until - $call->at,
            array_filter(
                $this->facts->calls,
                static fn (CallFact $call): bool => $call->group === $group->id
                    && $call->at >= $run->from
                    && $call->at < $run->to,
            ),
        );
        $progress = null;
        foreach ($this->facts->progress as $one) {
            if ($one->group === $group->id && $one->at < $run->to) {
                $progress = $one;
            }
        }
        $students = [];
        foreach ($run->seats as $seat) {
            if ($seat->group === $group->id && $seat->to === $run->to) {
                $students[] = $seat->student;
            }
        }

        return new GroupFigures(
            $group->id,
            $group->name,
            $group->mark,
            $run->round,
            $students,
            \count($visits),
            Span::covered(
                array_map(
                    static fn (VisitFact $visit): Span => new Span(
                        max($visit->from, $run->from),
                        min($visit->to, $run->to),
                    ),
                    $visits,
                ),
            ),
            \count($waits),
            array_sum($waits),
            [] === $waits ? 0 : max($waits),
            $progress->filled ?? 0,
            $progress->of ?? 0,
            $this->contributions($group->id),
        );
    }

    /**
     * @return list<Contribution> of whoever wrote in a group's copies; O(n)
     */
    private function contributions(string $group): array
    {
        $put = [];
        foreach ($this->facts->writing as $writing) {
            if ($writing->group === $group) {
                $put[$writing->student] = ($put[$writing->student] ?? 0) + $writing->put;
            }
        }

        return array_map(
            static fn (int|string $student, int $much): Contribution => new Contribution((string) $student, $much),
            array_keys($put),
            $put,
        );
    }
}
