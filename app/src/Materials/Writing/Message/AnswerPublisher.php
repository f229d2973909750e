<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing\Message;

use FreshHuddle\App\Materials\Event\AnswerChanged;
use FreshHuddle\App\Materials\Writing\AnswerView;
use FreshHuddle\App\Stream\Audience;
use FreshHuddle\App\Stream\Stream;
use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\HandOutWay;
use FreshHuddle\Core\Materials\Member;
use FreshHuddle\Core\Materials\Merge\Splice;
use FreshHuddle\Core\Materials\SlotAccess;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

/**
 * Tells staff, whoever of a copy's members may see it, and later areas what has been written.
 */
final readonly class AnswerPublisher
{
    /** Above so many bytes only what changed goes out. */
    private const LONG = 1_000;

    public function __construct(private Stream $stream, private EventDispatcherInterface $dispatcher)
    {
    }

    /**
     * @param array{lesson: string, way: HandOutWay, members: list<Member>, ...} $copy
     */
    public function publish(string $copyId, array $copy, Block $block, ?string $before, AnswerView $answer): void
    {
        if (null === $before) {
            return;
        }
        $access = new SlotAccess($copy['members']);
        $whoSees = array_values(
            array_filter(
                array_map(static fn (Member $member): string => $member->student, $copy['members']),
                static fn (string $member): bool => $access->maySee($member, $block, $answer->owner),
            ),
        );
        $this->stream->publish(
            [Audience::staff($copy['lesson']), ...array_map(Audience::student(...), $whoSees)],
            self::message($copyId, $before, $answer),
        );
        $this->dispatcher->dispatch(new AnswerChanged($copyId, $answer->slot, $answer->owner));
    }

    /**
     * @return AnswerMessage|ChangeMessage the answer, or where it is long what has changed in it
     */
    private static function message(string $copyId, string $before, AnswerView $answer): AnswerMessage|ChangeMessage
    {
        if (\strlen($answer->text) <= self::LONG) {
            return new AnswerMessage($copyId, $answer);
        }
        $splice = Splice::between($before, $answer->text);
        $isShort = \strlen($splice->put) <= self::LONG;

        return new ChangeMessage(
            $copyId,
            $answer->slot,
            $answer->owner,
            $answer->revision,
            $answer->author,
            $answer->at,
            $answer->share,
            $answer->caret,
            $isShort ? $splice->at : null,
            $isShort ? $splice->gone : null,
            $isShort ? $splice->put : null,
        );
    }
}
