<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Command;

use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Stream\Audience;
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
     * @param list<array<string, mixed>> $done messages, each with `seq`, the number of the event it comes from
     */
    public function tell(Lesson $lesson, array $done): void
    {
        $to = [];
        foreach ($done as $message) {
            $whom = $message['to'] ?? null;
            if (isset($message['wentBackTo'])) {
                $this->stream->publish([Audience::schoolClass($lesson->class->id)], ['kind' => 'refresh']);
            } elseif (\is_array($whom)) {
                array_push($to, ...array_values(array_filter($whom, \is_string(...))));
            } else {
                $this->stream->publish([Audience::everybody($lesson->id)], $message);
            }
        }
        if ([] !== $to) {
            $this->stream->publish(array_map(Audience::student(...), array_values(array_unique($to))), [
                'kind' => 'refresh',
            ]);
        }
        if ([] !== $done) {
            $this->stream->publish(
                [Audience::staff($lesson->id)],
                ['kind' => 'lesson', 'seq' => max(0, ...array_filter(array_column($done, 'seq'), is_int(...)))],
            );
        }
    }
}
