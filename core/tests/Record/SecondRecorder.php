<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

/**
 * Works out every figure of a record again, from its JSON and from docs/formats/record.md alone: it uses nothing of the
 * product, and goes another way. It asks of each moment at which anything changes how things stand then.
 *
 * @phpstan-type Row array<string, mixed>
 */
final readonly class SecondRecorder
{
    /** @var array<string, list<Row>> */
    private array $facts;
    /** @var list<Row> */
    private array $corrections;
    /** @var list<Row> */
    private array $rule;
    private int $begun;
    private int $ended;

    public function __construct(string $json)
    {
        $document = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
        \assert(\is_array($document) && \is_array($document['facts']));
        \assert(\is_int($document['begunAt']) && \is_int($document['endedAt']));
        $lists = array_filter($document, \is_string(...), \ARRAY_FILTER_USE_KEY);
        /** @var array<string, list<Row>> $facts */
        $facts = $document['facts'];
        $this->facts = $facts;
        $this->corrections = self::rows($lists, 'corrections');
        $this->rule = self::rows($lists, 'pointsRule');
        $this->begun = $document['begunAt'];
        $this->ended = $document['endedAt'];
    }

    /**
     * @return array{students: list<Row>, groups: list<Row>, points: list<Row>}
     */
    public function figures(): array
    {
        $students = $groups = $points = [];
        foreach ($this->facts['students'] as $student) {
            $students[] = $figures = $this->student(self::text($student, 'id'));
            if ([] !== $this->rule) {
                $points[] = $this->points($figures);
            }
        }
        foreach ($this->facts['runs'] as $run) {
            foreach (self::rows($run, 'groups') as $group) {
                $groups[] = $this->group($run, self::text($group, 'id'));
            }
        }

        return ['students' => $students, 'groups' => $groups, 'points' => $points];
    }

    /**
     * @param Row $figures
     *
     * @return Row
     */
    private function points(array $figures): array
    {
        foreach ($this->corrections as $correction) {
            if ($correction['student'] === $figures['student']) {
                $figures[self::text($correction, 'figure')] = $correction['value'];
            }
        }
        $sum = 0;
        $met = [];
        foreach ($this->rule as $part) {
            $least = self::int($part, 'atLeast');
            $has = match ($part['kind']) {
                'inPlace' => 0 === $figures['groupMs']
                    ? 0
                    : self::int($figures, 'inPlaceMs') / self::int($figures, 'groupMs') * 100,
                'wrote' => self::int($figures, 'put'),
                'answered' => self::int($figures, 'exitAnswered'),
                'calledOn' => self::int($figures, 'calledOn'),
                default => throw new \UnexpectedValueException('no such kind'),
            };
            $met[] = round($has, 9) >= $least;
            $sum += round($has, 9) >= $least ? self::int($part, 'points') : 0;
        }

        return ['student' => $figures['student'], 'sum' => $sum, 'met' => $met];
    }

    /**
     * @return Row
     */
    private function student(string $id): array
    {
        $seats = [];
        foreach ($this->facts['runs'] as $run) {
            foreach (self::rows($run, 'seats') as $seat) {
                if ($seat['student'] === $id) {
                    $seats[] = $seat;
                }
            }
        }
        $arrived = null;
        foreach ($this->of('signs', $id) as $sign) {
            if (null === $arrived && !\in_array($sign['place'], ['lost', 'excused'], true)) {
                $arrived = $sign['at'];
            }
        }
        $bins = ['in' => 0, 'else' => 0, 'away' => 0, 'all' => 0];
        $strip = [];
        foreach ($this->moments($id, $seats) as [$from, $to]) {
            $sign = $this->signAt($id, $from);
            $seat = self::seatAt($seats, $from);
            $place = $sign['place'] ?? 'lost';
            $bin = match ($place) {
                'inPlace' => 'in',
                'lost', 'excused' => 'away',
                default => 'else',
            };
            if (null !== $seat) {
                $bins[$bin] += $to - $from;
                $bins['all'] += $to - $from;
            }
            $where = $sign['where'] ?? null;
            $piece = match (true) {
                'away' === $bin => ['away', null],
                'else' === $bin => ['elsewhere', null],
                null === $seat, 'main' === $where => ['main', null],
                null !== $where && $where !== $seat['group'] => ['sideRoom', null],
                default => ['group', $seat['group']],
            };
            $last = array_pop($strip);
            if (null !== $last && [$last['kind'], $last['group']] === $piece) {
                $from = $last['from'];
            } elseif (null !== $last) {
                $strip[] = $last;
            }
            $strip[] = ['from' => $from, 'to' => $to, 'kind' => $piece[0], 'group' => $piece[1]];
        }
        $put = 0;
        $slots = $wroteIn = [];
        foreach ($seats as $seat) {
            $wroteIn[self::text($seat, 'group')] = true;
        }
        foreach ($this->of('writing', $id) as $one) {
            $put += self::int($one, 'put');
            $slots[self::text($one, 'slot')] = true;
            if (null !== $one['group']) {
                $wroteIn[self::text($one, 'group')] = true;
            }
        }
        $ofGroup = 0;
        foreach ($this->facts['writing'] as $one) {
            if (\is_string($one['group']) && isset($wroteIn[$one['group']])) {
                $ofGroup += self::int($one, 'put');
            }
        }
        $calledOn = $passed = $answered = $of = 0;
        foreach ($this->of('calledOn', $id) as $one) {
            true === $one['passed'] ? ++$passed : ++$calledOn;
        }
        foreach ($this->of('exits', $id) as $one) {
            $answered += self::int($one, 'answered');
            $of += self::int($one, 'of');
        }

        $spoken = 0;
        foreach ($this->of('speech', $id) as $one) {
            $spoken += self::int($one, 'ms');
        }

        return [
            'student' => $id,
            'group' => [] === $seats ? null : $seats[\count($seats) - 1]['group'],
            'arrivedAt' => $arrived,
            'groupMs' => $bins['all'],
            'inPlaceMs' => $bins['in'],
            'elsewhereMs' => $bins['else'],
            'awayMs' => $bins['away'],
            'put' => $put,
            'ofGroup' => $ofGroup,
            'slots' => \count($slots),
            'calls' => \count($this->of('calls', $id)),
            'calledOn' => $calledOn,
            'passed' => $passed,
            'exitAnswered' => $answered,
            'exitOf' => $of,
            'spokenMs' => $spoken,
            'strip' => $strip,
        ];
    }

    /**
     * @param Row $run
     *
     * @return Row
     */
    private function group(array $run, string $id): array
    {
        [$from, $to] = [self::int($run, 'from'), self::int($run, 'to')];
        $visits = $waited = $longest = $calls = $filled = $of = 0;
        $edges = [];
        foreach ($this->facts['visits'] as $visit) {
            if ($visit['group'] === $id && $visit['from'] < $to && $visit['to'] > $from) {
                ++$visits;
                $edges[] = [max($from, self::int($visit, 'from')), min($to, self::int($visit, 'to'))];
            }
        }
        foreach ($this->facts['calls'] as $call) {
            if ($call['group'] === $id && $call['at'] >= $from && $call['at'] < $to) {
                ++$calls;
                $wait = self::int($call, 'until') - self::int($call, 'at');
                $waited += $wait;
                $longest = max($longest, $wait);
            }
        }
        foreach ($this->facts['progress'] as $one) {
            if ($one['group'] === $id && $one['at'] < $to) {
                [$filled, $of] = [self::int($one, 'filled'), self::int($one, 'of')];
            }
        }
        $put = $students = [];
        foreach ($this->facts['writing'] as $one) {
            if ($one['group'] === $id) {
                $put[self::text($one, 'student')] = ($put[self::text($one, 'student')] ?? 0) + self::int($one, 'put');
            }
        }
        foreach (self::rows($run, 'seats') as $seat) {
            if ($seat['group'] === $id && $seat['to'] === $to) {
                $students[] = $seat['student'];
            }
        }
        $by = [];
        foreach ($put as $student => $much) {
            $by[] = ['student' => $student, 'put' => $much];
        }

        return [
            'put' => $by,
            'group' => $id,
            'round' => $run['round'],
            'students' => $students,
            'visits' => $visits,
            'visitedMs' => self::union($edges),
            'calls' => $calls,
            'waitedMs' => $waited,
            'longestMs' => $longest,
            'filled' => $filled,
            'of' => $of,
        ];
    }

    /**
     * @param list<array{int, int}> $edges
     */
    private static function union(array $edges): int
    {
        $points = [];
        foreach ($edges as $edge) {
            array_push($points, ...$edge);
        }
        sort($points);
        $all = 0;
        for ($i = 0; $i + 1 < \count($points); ++$i) {
            foreach ($edges as [$from, $to]) {
                if ($from <= $points[$i] && $points[$i + 1] <= $to) {
                    $all += $points[$i + 1] - $points[$i];
                    break;
                }
            }
        }

        return $all;
    }

    /**
     * @param list<Row> $seats
     *
     * @return list<array{int, int}> stretches within which nothing changes for a student
     */
    private function moments(string $id, array $seats): array
    {
        $moments = [$this->begun, $this->ended];
        foreach ($this->of('signs', $id) as $sign) {
            $moments[] = self::int($sign, 'at');
        }
        foreach ($seats as $seat) {
            array_push($moments, self::int($seat, 'from'), self::int($seat, 'to'));
        }
        $moments = array_values(
            array_unique(array_filter($moments, fn (int $at): bool => $at >= $this->begun && $at <= $this->ended)),
        );
        sort($moments);
        $stretches = [];
        for ($i = 0; $i + 1 < \count($moments); ++$i) {
            $stretches[] = [$moments[$i], $moments[$i + 1]];
        }

        return $stretches;
    }

    /**
     * @return Row|null
     */
    private function signAt(string $id, int $at): ?array
    {
        $now = null;
        foreach ($this->of('signs', $id) as $sign) {
            if ($sign['at'] <= $at) {
                $now = $sign;
            }
        }

        return $now;
    }

    /**
     * @param list<Row> $seats
     *
     * @return Row|null
     */
    private static function seatAt(array $seats, int $at): ?array
    {
        foreach ($seats as $seat) {
            if ($seat['from'] <= $at && $at < $seat['to']) {
                return $seat;
            }
        }

        return null;
    }

    /**
     * @return list<Row>
     */
    private function of(string $list, string $student): array
    {
        return array_values(
            array_filter($this->facts[$list], static fn (array $row): bool => $row['student'] === $student),
        );
    }

    /**
     * @param Row $row
     */
    private static function text(array $row, string $key): string
    {
        return \is_string($row[$key]) ? $row[$key] : throw new \UnexpectedValueException($key);
    }

    /**
     * @param Row $row
     */
    private static function int(array $row, string $key): int
    {
        return \is_int($row[$key]) ? $row[$key] : throw new \UnexpectedValueException($key);
    }

    /**
     * @param Row $row
     *
     * @return list<Row>
     */
    private static function rows(array $row, string $key): array
    {
        /** @var list<Row> $rows */
        $rows = $row[$key];

        return $rows;
    }
}
