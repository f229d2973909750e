<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Ready;

/**
 * Everything that should be in place before students are sent out. What stops comes first, in the order in which the
 * work is done; then what is worth a look.
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
            new Check\SoundAway(),
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
            new Check\SoundUnreachable(),
            new Check\MicrophoneUntried(),
            new Check\NoShareOut(),
            new Check\ShortVisits(),
        ]);
    }

    /**
     * A whole lesson: what is found in several rounds is said once, and about which.
     *
     * @param array<int, Plan> $plans by number of the round, in their order
     *
     * @return list<Finding> what stops first, round by round
     *
     * Complexity: O(checks · size of the plans)
     */
    public function runAll(array $plans): array
    {
        $found = $rounds = [];
        foreach ($plans as $number => $plan) {
            foreach ($this->run($plan) as $finding) {
                $key = json_encode([$finding->check, $finding->says, $finding->mend], \JSON_THROW_ON_ERROR);
                $found[$key] ??= $finding;
                $rounds[$key][$number] = $number;
            }
        }
        $findings = array_map(
            static fn (string $key, Finding $finding): Finding => $finding->about(array_values($rounds[$key])),
            array_keys($found),
            array_values($found),
        );
        $stops = array_filter($findings, static fn (Finding $finding): bool => Weight::Stop === $finding->weight);

        return [
            ...array_values($stops),
            ...array_values(
                array_filter($findings, static fn (Finding $finding): bool => Weight::Stop !== $finding->weight),
            ),
        ];
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
                Weight::Stop === $finding->weight ? ($stops[] = $finding) : ($looks[] = $finding);
            }
        }

        return [...$stops, ...$looks];
    }
}
