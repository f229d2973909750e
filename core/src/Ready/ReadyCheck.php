<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * Everything that should be in place before students are sent out. What stops comes first, in the order in which the work is
 * done; then what is worth a look.
 */
final readonly class ReadyCheck
{
    /**
     * @param list<Check> $checks
     */
    public function __construct(private array $checks)
    {
    }

    public static function standard(): self
    {
        return new self([
            new Check\NobodyOnTheList(),
            new Check\NoGroups(),
            new Check\WithoutSeat(),
            new Check\InTwoGroups(),
            new Check\RuleBroken(),
            new Check\OriginalOpen(),
            new Check\NoMaterial(),
            new Check\UnfinishedOriginal(),
            new Check\RoomFailed(),
            new Check\WithoutRoom(),
            new Check\SharedLink(),
            new Check\NobodyOpens(),
            new Check\WithoutCopy(),
            new Check\PostAudience(),
            new Check\CopyOfOthers(),
            new Check\WrongWriters(),
            new Check\OrderTooLong(),
            new Check\SmallGroup(),
            new Check\UnevenSizes(),
            new Check\NoMainSession(),
            new Check\RoomLost(),
            new Check\RoomUntried(),
            new Check\GuessableLink(),
            new Check\LinksAlike(),
            new Check\VariantForNobody(),
            new Check\SameVariant(),
            new Check\MaterialForNobody(),
            new Check\NotToBeHeard(),
            new Check\OldCopy(),
            new Check\NotSent(),
            new Check\DueTime(),
            new Check\LetterReturned(),
            new Check\PassUnused(),
            new Check\NoShareOut(),
            new Check\ShortVisits(),
        ]);
    }

    /**
     * @return list<Finding>
     *
     * Complexity: O(checks · size of the plan)
     */
    public function run(Plan $plan): array
    {
        $stops = $looks = [];
        foreach ($this->checks as $check) {
            foreach ($check->find($plan) as $finding) {
                Weight::Stop === $finding->weight ? $stops[] = $finding : $looks[] = $finding;
            }
        }

        return [...$stops, ...$looks];
    }
}
