<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Conflict;
use FreshHuddle\Core\Grouping\GoalReport;
use FreshHuddle\Core\Grouping\Move;
use FreshHuddle\Core\Grouping\Result;
use FreshHuddle\Core\Message;

/**
 * Writes a result file (docs/formats/grouping-result.schema.json).
 */
final class ResultWriter
{
    /**
     * @param callable(Message): string $say words what the result says
     */
    public function write(Result $result, callable $say): string
    {
        $rounds = [];
        foreach ($result->rounds as $number => $groups) {
            $rounds[] =
                ['groups' => $groups] +
                (isset($result->topics[$number]) ? ['topics' => $result->topics[$number]] : []);
        }
        $data = [
            'format' => 'fresh-huddle/grouping-result',
            'version' => 1,
            'seed' => $result->seed,
            'rounds' => $rounds,
            'unplaced' => $result->unplaced,
            'goals' => array_map(
                static fn (GoalReport $goal): array => [
                    'goal' => $goal->goal,
                    'cost' => self::rounded($goal->cost),
                    'lowerBound' => self::rounded($goal->lowerBound),
                ],
                $result->goals,
            ),
            'cost' => self::rounded($result->cost),
            'proven' => $result->proven,
            'repeats' => $result->repeats,
            'conflicts' => array_map(
                static fn (Conflict $conflict): array => [
                    'rules' => $conflict->rules,
                    'message' => $say($conflict->message),
                ],
                $result->conflicts,
            ),
            'moves' => array_map(
                static fn (Move $move): array => [
                    'student' => $move->student,
                    'from' => $move->from,
                    'to' => $move->to,
                    'because' => $say($move->because),
                ],
                $result->moves,
            ),
        ];
        if ([] !== $result->lacking) {
            $data['lacking'] = array_map(
                static fn (int $group, array $topics): array => ['group' => $group, 'topics' => $topics],
                array_keys($result->lacking),
                $result->lacking,
            );
        }

        return json_encode(
            $data,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }

    /**
     * Without the dust of floating point.
     */
    private static function rounded(float $cost): float
    {
        return round($cost, 9);
    }
}
