<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Grouping\Support;

use FreshHuddle\Core\Grouping\Goal;
use FreshHuddle\Core\Grouping\Goal\Alike;
use FreshHuddle\Core\Grouping\Goal\EachHas;
use FreshHuddle\Core\Grouping\Goal\NewPartners;
use FreshHuddle\Core\Grouping\Goal\NotAlone;
use FreshHuddle\Core\Grouping\Goal\Spread;
use FreshHuddle\Core\Grouping\Goal\Wishes;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Grouping\Rule\Apart;
use FreshHuddle\Core\Grouping\Rule\NotIn;
use FreshHuddle\Core\Grouping\Rule\Seat;
use FreshHuddle\Core\Grouping\Rule\Together;
use FreshHuddle\Core\Grouping\Student;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Made-up classes, rules and goals from a seed.
 */
final class RandomProblem
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /**
     * @return list<string>
     */
    public static function ids(int $n): array
    {
        return array_map(static fn (int $i): string => 's'.$i, range(1, $n));
    }

    public function number(int $from, int $to): int
    {
        return $this->random->getInt($from, $to);
    }

    /**
     * @return list<Student> some without a level, a language or a table; some with tags
     */
    public function students(int $n): array
    {
        return array_map(function (string $id): Student {
            $attributes = [];
            if ($this->number(0, 5) > 0) {
                $attributes['level'] = $this->number(1, 5);
            }
            if ($this->number(0, 6) > 0) {
                $attributes['language'] = ['so', 'pl', 'uk', 'en'][$this->number(0, 3)];
            }

            return new Student($id, 'Student '.$id, null, $attributes, 0 === $this->number(0, 2) ? ['lead'] : []);
        }, self::ids($n));
    }

    /**
     * @return list<Goal> one of every kind, both for numbers and for other values
     */
    public function goals(int $n): array
    {
        $wishes = [];
        foreach (self::ids($n) as $id) {
            if (0 === $this->number(0, 1)) {
                $wishes[$id] = $this->some($n, $this->number(1, 2));
            }
        }
        $weight = fn (): float => (float) $this->number(0, 40) / 10;

        return [
            new Spread('level', $weight()),
            new Spread('language', $weight()),
            new Alike('level', $weight()),
            new Alike('language', $weight()),
            new EachHas('lead', $this->number(1, 2), $weight()),
            new NotAlone('language', $weight()),
            new NewPartners($weight()),
            new Wishes($wishes, $weight()),
        ];
    }

    /**
     * @return list<Rule>
     */
    public function rules(int $n, int $groups, int $count): array
    {
        $rules = [];
        for ($i = 0; $i < $count; ++$i) {
            $rules[] = match ($this->number(0, 3)) {
                0 => new Apart($this->some($n, min($n, $this->number(2, 3)))),
                1 => new Together($this->some($n, min($n, 2))),
                2 => new Seat('s'.$this->number(1, $n), $this->number(1, $groups)),
                default => new NotIn('s'.$this->number(1, $n), $this->number(1, $groups)),
            };
        }

        return $rules;
    }

    /**
     * @return list<list<list<string>>>
     */
    public function history(int $n, int $rounds): array
    {
        $history = [];
        for ($i = 0; $i < $rounds; ++$i) {
            $history[] = array_chunk($this->random->shuffleArray(self::ids($n)), 3);
        }

        return array_map(array_values(...), $history);
    }

    /**
     * @return list<string>
     */
    public function some(int $n, int $count): array
    {
        return \array_slice(array_values($this->random->shuffleArray(self::ids($n))), 0, $count);
    }
}
