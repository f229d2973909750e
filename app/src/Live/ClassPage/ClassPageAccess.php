<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use FreshHuddle\App\Database\Transaction;
use FreshHuddle\App\Http\SignedAddress;
use FreshHuddle\App\Lesson\Lesson;
use FreshHuddle\App\Lesson\LessonNow;
use FreshHuddle\App\Lesson\NowReader;
use FreshHuddle\App\Live\Exception\LiveRefused;
use FreshHuddle\App\Stream\Channel;
use FreshHuddle\App\Stream\Stream;

/**
 * Who may see the page for the wall: whoever has its address.
 */
final readonly class ClassPageAccess
{
    public const WHAT = 'class page';

    public function __construct(
        private SignedAddress $address,
        private NowReader $lessons,
        private ClassPageReader $reader,
        private Transaction $transaction,
        private Stream $stream,
    ) {
    }

    /**
     * @throws LiveRefused if the address opens nothing, or nothing any more
     */
    public function lesson(string $token): LessonNow
    {
        $id = SignedAddress::id($token);
        $lesson = null === $id ? null : $this->lessons->forLesson($id);
        $number = null === $lesson ? null : $this->reader->number($lesson->lessonId);
        if (
            null === $lesson
            || null === $number
            || !$this->address->opens(self::WHAT, $lesson->lessonId, $number, $token)
        ) {
            throw LiveRefused::missing();
        }

        return $lesson;
    }

    /**
     * @return string where the page listens
     *
     * @throws LiveRefused if the address opens nothing, or nothing any more
     */
    public function channel(string $token): string
    {
        return $this->reader->channel($this->lesson($token)->lessonId);
    }

    /**
     * A new address: the old one shows nothing any more, and nothing more is said to whoever listens there.
     */
    public function renew(Lesson $lesson): void
    {
        $this->transaction->run(function () use ($lesson): void {
            $this->stream->end([$lesson->classPageChannel]);
            ++$lesson->classPageNumber;
            $lesson->classPageChannel = Channel::fresh();
        });
    }
}
