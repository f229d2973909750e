<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Export\SafeCsv;

/**
 * Sums for other programs: a line for each thing that somebody has done.
 */
final readonly class SumExport
{
    public function __construct(private Words $words)
    {
    }

    /**
     * @param list<SumView> $sums
     */
    public function csv(array $sums): string
    {
        $say = fn (string $code): string => $this->words->say(new Message('debrief.export.'.$code));
        $columns = ['worksheet', 'question', 'answer', 'heading', 'count', 'who', 'right'];
        $rows = [array_map($say, $columns)];
        foreach ($sums as $sum) {
            $heads = array_column($sum->block->settings->heads, 'text', 'id');
            $rowNames = array_column($sum->block->settings->items, 'text', 'id');
            foreach ($sum->tallies as $tally) {
                $isCell = 'cells' === $sum->shape->value;
                $rows[] = [
                    $sum->title,
                    $sum->block->text,
                    $isCell ? ($rowNames[$tally->item] ?? '').': '.$tally->text : $tally->text,
                    $heads[$tally->under] ?? '',
                    $tally->count,
                    implode('; ', array_map(static fn (int $i): string => $sum->sources[$i]->name, $tally->sources)),
                    null === $tally->right ? '' : $say($tally->right ? 'yes' : 'no'),
                ];
            }
        }

        return SafeCsv::write($rows);
    }
}
