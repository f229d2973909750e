<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

use FreshHuddle\Core\Materials\Slot\Choose;
use FreshHuddle\Core\Materials\Slot\Each;
use FreshHuddle\Core\Materials\Slot\MarkUp;
use FreshHuddle\Core\Materials\Slot\Mend;
use FreshHuddle\Core\Materials\Slot\Number;
use FreshHuddle\Core\Materials\Slot\OwnPictures;
use FreshHuddle\Core\Materials\Slot\SlotKind;
use FreshHuddle\Core\Materials\Slot\Sort;
use FreshHuddle\Core\Materials\Slot\Table;
use FreshHuddle\Core\Materials\Slot\Ticks;
use FreshHuddle\Core\Materials\Slot\Together;

/**
 * What a block can be. Another slot is a case here and a file in Slot.
 */
enum BlockKind: string
{
    /** Text to read (Markdown). */
    case Text = 'text';
    /** A way to somewhere else, opened in a window of its own. */
    case Link = 'link';
    /** A picture; its text says what is to be seen. */
    case Picture = 'picture';
    /** A short recording that can be heard; its text says what it is. */
    case SpokenNote = 'spokenNote';
    /** A slot with one answer for each member of the group. */
    case Each = 'each';
    /** A slot with one answer the group writes together. */
    case Together = 'together';
    /** A number from each member of the group. */
    case Number = 'number';
    /** Cards to be put under headings. */
    case Sort = 'sort';
    /** Lines to tick. */
    case Ticks = 'ticks';
    /** Cells to fill. */
    case Table = 'table';
    /** A text in which words are marked. */
    case MarkUp = 'markUp';
    /** Sentences with something wrong in them. */
    case Mend = 'mend';
    /** Options to choose from, everybody for themselves. */
    case Choose = 'choose';
    /** Photos and drawings of the students' own. */
    case OwnPictures = 'ownPictures';

    public function slot(): ?SlotKind
    {
        return match ($this) {
            self::Text, self::Link, self::Picture, self::SpokenNote => null,
            self::Each => new Each(),
            self::Together => new Together(),
            self::Number => new Number(),
            self::Sort => new Sort(),
            self::Ticks => new Ticks(),
            self::Table => new Table(),
            self::MarkUp => new MarkUp(),
            self::Mend => new Mend(),
            self::Choose => new Choose(),
            self::OwnPictures => new OwnPictures(),
        };
    }

    public function isSlot(): bool
    {
        return null !== $this->slot();
    }
}
