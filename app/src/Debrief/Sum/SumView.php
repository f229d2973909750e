<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Materials\Cupboard\BlockView;
use FreshHuddle\Core\Debrief\Sum\SumShape;

/**
 * What all groups, or all students, have done in one place of a worksheet.
 */
final readonly class SumView
{
    /**
     * @param string          $original its worksheet
     * @param string          $title    of the worksheet
     * @param string          $page     the title of the page; '' where it has none
     * @param BlockView       $block    the place, without right answers
     * @param int             $answered how many have done something
     * @param int             $all      of how many
     * @param list<TallyView> $tallies
     * @param list<SumSource> $sources  none where no names are shown
     * @param list<ScoreView> $scores   none where it is not said what is right
     * @param int             $right    of all that could be right, so much is, over all
     * @param int             $of       0 where it is not said what is right
     * @param list<int>       $missing  who has done nothing yet, by their place among the sources
     */
    public function __construct(
        public string $original,
        public string $title,
        public string $page,
        public BlockView $block,
        public SumShape $shape,
        public int $answered,
        public int $all,
        public array $tallies,
        public array $sources,
        public array $scores,
        public int $right,
        public int $of,
        public array $missing = [],
    ) {
    }

    /**
     * For everybody's eyes.
     *
     * @param bool $names     with whose it is
     * @param bool $withRight with what is right
     */
    public function forAll(bool $names, bool $withRight): self
    {
        return new self(
            $this->original,
            $this->title,
            $this->page,
            $this->block,
            $this->shape,
            $this->answered,
            $this->all,
            array_values(
                array_filter(
                    array_map(
                        static fn (TallyView $tally): TallyView => new TallyView(
                            $tally->item,
                            $tally->under,
                            $tally->text,
                            $tally->count,
                            $names ? $tally->sources : [],
                            $withRight ? $tally->right : null,
                        ),
                        $this->tallies,
                    ),
                    fn (TallyView $tally): bool => $tally->count > 0
                        || SumShape::Cards !== $this->shape
                        || true === $tally->right,
                ),
            ),
            $names ? $this->sources : [],
            $names && $withRight ? $this->scores : [],
            $withRight ? $this->right : 0,
            $withRight ? $this->of : 0,
        );
    }
}
