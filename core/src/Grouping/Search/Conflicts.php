<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Search;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\Rule;
use FreshHuddle\Core\Message;

/**
 * Which rules contradict each other. Each set found is as small as can be: first rules are taken away one by one while
 * the rest still contradicts (deletion filter: Chinneck and Dravnieks, 1991), then smaller sets are tried while there
 * are few.
 */
final class Conflicts
{
    /** Subsets to try for a smaller contradiction. */
    private const MOST_SETS = 20_000;
    private const MOST_CONFLICTS = 10;

    /** @var array<string, bool> */
    private array $known = [];

    /**
     * @param list<Rule>            $rules
     * @param array<string, string> $names id => name
     * @param Message|null          $shape what the groups are like; null: by the setting's sizes
     */
    public function __construct(
        private readonly Setting $setting,
        private readonly array $rules,
        private readonly array $names,
        private readonly ?Message $shape = null,
    ) {
    }

    /**
     * @return list<Conflict> sets that have no rule in common; without one rule of each, the rest can be kept
     */
    public function find(): array
    {
        $conflicts = [];
        $left = array_keys($this->rules);
        while (\count($conflicts) < self::MOST_CONFLICTS && $this->contradict($left)) {
            $set = $this->smallest($left);
            $conflicts[] = new Conflict($set, $this->message($set));
            $left = array_values(array_diff($left, $set));
        }

        return $conflicts;
    }

    /**
     * @param list<int> $rules
     */
    private function contradict(array $rules): bool
    {
        $key = implode(',', $rules);
        if (!isset($this->known[$key])) {
            $musts = new Musts($this->setting, array_map(fn (int $rule): Rule => $this->rules[$rule], $rules));
            $this->known[$key] = false === (new Start($this->setting, $musts, new Dice(0)))->find();
        }

        return $this->known[$key];
    }

    /**
     * @param list<int> $rules contradict
     *
     * @return list<int>
     */
    private function smallest(array $rules): array
    {
        $set = $rules;
        foreach ($rules as $rule) {
            $without = array_values(array_diff($set, [$rule]));
            if ($this->contradict($without)) {
                $set = $without;
            }
        }
        $tries = self::MOST_SETS;
        for ($size = 1; $size < \count($set); ++$size) {
            $tries -= self::choose(\count($rules), $size);
            if ($tries < 0) {
                break;
            }
            foreach (self::subsets($rules, $size) as $subset) {
                if ($this->contradict($subset)) {
                    return $subset;
                }
            }
        }

        return $set;
    }

    /**
     * @param list<int> $set
     */
    private function message(array $set): Message
    {
        $rules = array_map(
            fn (int $rule): Message => $this->rules[$rule]->inWords(
                fn (string $id): string => $this->names[$id] ?? $id,
            ),
            $set,
        );
        $shape =
            $this->shape ??
            new Message('grouping.shape.of_sizes', [
                'groups' => $this->setting->groups(),
                'sizes' => array_values(array_unique($this->setting->sizes)),
            ]);

        return 1 === \count($rules)
            ? new Message('grouping.conflict.one', ['rule' => $rules[0], 'shape' => $shape])
            : new Message('grouping.conflict.several', ['rules' => $rules, 'shape' => $shape]);
    }

    private static function choose(int $n, int $k): int
    {
        $ways = 1;
        for ($i = 1; $i <= $k && $ways < 1_000_000; ++$i) {
            $ways = intdiv($ways * ($n - $k + $i), $i);
        }

        return $ways;
    }

    /**
     * @param list<int> $of
     *
     * @return iterable<list<int>>
     */
    private static function subsets(array $of, int $size, int $from = 0): iterable
    {
        if (0 === $size) {
            yield [];

            return;
        }
        for ($i = $from; $i <= \count($of) - $size; ++$i) {
            foreach (self::subsets($of, $size - 1, $i + 1) as $rest) {
                yield [$of[$i], ...$rest];
            }
        }
    }
}
