<?php

declare(strict_types=1);

namespace FreshHuddle\App\Lesson\Round;

use FreshHuddle\App\Lesson\Notice\PreparedNotice;
use FreshHuddle\App\Lesson\Notice\PreparedNoticeView;

/**
 * A round: when its groups go out and come back, and what is set for it.
 */
final readonly class RoundView
{
    /**
     * @param int                      $number  from 1
     * @param list<PreparedNoticeView> $notices said at set moments, in the order of their times
     */
    public function __construct(
        public string $id,
        public string $segmentId,
        public int $number,
        public string $groupingId,
        public string $groupingName,
        public string $instructions,
        public int $minutes,
        public int $lookSeconds,
        public int $callBackSeconds,
        public bool $autoCallBack,
        public Moments $moments,
        public array $notices,
    ) {
    }

    public static function fromRound(Round $round): self
    {
        return new self(
            $round->id,
            $round->segment->id,
            $round->number ?? 0,
            $round->grouping->id,
            $round->grouping->name,
            $round->segment->instructions,
            $round->segment->minutes,
            $round->lookSeconds,
            $round->callBackSeconds,
            $round->autoCallBack,
            $round->state(),
            array_values(
                $round->notices
                    ->map(
                        static fn (PreparedNotice $notice): PreparedNoticeView => new PreparedNoticeView(
                            $notice->id,
                            $notice->beforeEnd,
                            $notice->seconds,
                            $notice->text,
                            $notice->time()->due($round->state()->state()),
                        ),
                    )
                    ->toArray(),
            ),
        );
    }
}
