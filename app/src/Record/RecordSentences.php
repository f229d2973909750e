<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Record\LessonRecord;
use FreshHuddle\Core\Record\Summary;

/**
 * What happened in a lesson, in words.
 */
final readonly class RecordSentences
{
    public function __construct(private Words $words)
    {
    }

    /**
     * @return list<SentenceView>
     */
    public function of(LessonRecord $record): array
    {
        return array_map(
            fn (array $one): SentenceView => new SentenceView($this->words->say($one[0]), $one[1]),
            Summary::sentences($record),
        );
    }
}
