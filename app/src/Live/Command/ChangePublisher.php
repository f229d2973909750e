<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Message\LessonHint;
use FreshHuddle\App\Stream\Message\RefreshHint;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Live\Command;

/**
 * Tells open pages what a command has changed.
 */
final readonly class ChangePublisher
{
    public function __construct(private Stream $stream)
    {
    }

    /**
     * @param list<Told> $done
     */
    public function tell(Lesson $lesson, array $done): void
    {
        $to = [];
        foreach ($done as $told) {
            if ($told->wholeClass) {
                $this->stream->publish([Audience::schoolClass($lesson->class->id)], new RefreshHint());
            } elseif (null === $told->message) {
                array_push($to, ...$told->to);
            } else {
                $this->stream->publish([Audience::everybody($lesson->id)], $told->message);
            }
        }
        if ([] !== $to) {
            $this->stream->publish(
                array_map(Audience::student(...), array_values(array_unique($to))),
                new RefreshHint(),
            );
        }
        if ([] !== $done) {
            $last = max(array_map(static fn (Told $told): int => $told->seq, $done));
            $this->stream->publish([Audience::staff($lesson->id)], new LessonHint($last));
        }
    }
}
