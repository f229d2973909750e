<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Portal\PortalFailed;
use FreshHuddle\App\Ready\SetUp\Work\PostSteps;
use FreshHuddle\App\Rooms\Meeting\MeetingServiceFailed;
use FreshHuddle\App\Rooms\RoomProbe;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Stream;

/**
 * Looks whether what was made and posted outside is still there, and notes what is not: services forget.
 */
final readonly class ServiceProbe
{
    public function __construct(private RoomProbe $rooms, private PostSteps $posts, private Stream $stream)
    {
    }

    public function probe(Round $round): void
    {
        $wrong = [];
        try {
            $wrong = $this->rooms->probe($round);
        } catch (MeetingServiceFailed) {
            // it does not answer just now: nothing is known
        }
        try {
            $wrong = [...$wrong, ...$this->posts->probe($round)];
        } catch (PortalFailed) {
        }
        if ([] !== $wrong) {
            $this->stream->publish([Audience::staff($round->lesson->id)], new LessonHint());
        }
    }
}
