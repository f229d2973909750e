<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Writing;

use FreshHuddle\App\Http\Body\Id;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * The body of a request: what stands in a place now, and what it was written from.
 */
final readonly class SaveSlot
{
    /**
     * @param string   $save  a fresh UUID for each save; the same again when the same save is sent again
     * @param string   $base  what the writing began from: what the page last knew to be saved
     * @param string   $text  what is to be saved: the text, or for slots that hold things (cards, ticks, cells …) a
     *                        JSON object
     *                        of them (docs/formats/slot-values.schema.json)
     * @param int|null $caret where in it the writer is: signs (Unicode code points) in front of the caret; null where
     *                        that
     *                        says nothing
     */
    public function __construct(
        #[Id]
        public string $save,
        #[Assert\Length(max: 20_000, maxMessage: 'materials.this_more_than_answer_holds')]
        public string $base,
        #[Assert\Length(max: 20_000, maxMessage: 'materials.answer_holds_20000_characters')]
        public string $text,
        #[Assert\Range(min: 0, max: 20_000, notInRangeMessage: 'materials.answer_holds_20000_characters'),]
        public ?int $caret = null,
    ) {
    }
}
