<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Materials\Cupboard\BlockHtml;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Margin\MarginNoteView;
use FreshHuddle\Core\Materials\HandOutWay;

/**
 * A copy with all that has been written in it.
 */
final readonly class CopyView
{
    /**
     * @param string|null          $groupId whose it is: a group's, a student's, or (neither) the class's
     * @param list<PageView>       $pages
     * @param list<BlockHtml>      $html    the texts to read, as they are shown
     * @param list<AnswerView>     $answers those that were ever written
     * @param list<MarginNoteView> $notes   in the order in which they were written
     * @param bool                 $locked  its time is over, and it can only be read
     * @param list<SlotFillers>    $fillers of the slots that are for a part of the group
     * @param int|null             $closesAt when it is closed; null: that isn't said; milliseconds since 1970
     */
    public function __construct(
        public string $id,
        public string $original,
        public ?string $groupId,
        public ?string $studentId,
        public HandOutWay $way,
        public string $name,
        public string $title,
        public array $pages,
        public array $html,
        public array $answers,
        public array $notes = [],
        public array $fillers = [],
        public bool $locked = false,
        public ?int $closesAt = null,
    ) {
    }
}
