<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Sum;

use FreshHuddle\App\Print\Heading;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * Sums on paper: question by question what was answered, how often and by whom, and who has not answered.
 */
final readonly class SumPdf
{
    public function __construct(private Paper $paper, private Heading $heading, private Words $words)
    {
    }

    /**
     * @param list<SumView> $sums
     *
     * @return string a PDF
     */
    public function make(string $title, string $className, array $sums): string
    {
        $body = $this->heading->html($title, $className);
        $worksheet = null;
        foreach ($sums as $sum) {
            if ($worksheet !== $sum->original) {
                $worksheet = $sum->original;
                $body .= '<h2>'.$this->paper->set($sum->title, 'head').'</h2>';
            }
            $body .= $this->question($sum);
        }
        if ([] === $sums) {
            $body .= '<p>'.$this->paper->set($this->say('nothing')).'</p>';
        }

        return $this->paper->pdf(self::style(), $body, false);
    }

    private function question(SumView $sum): string
    {
        $heads = array_column($sum->block->settings->heads, 'text', 'id');
        $rows = array_column($sum->block->settings->items, 'text', 'id');
        $most = max([1, ...array_map(static fn (TallyView $tally): int => $tally->count, $sum->tallies)]);
        $lines = '';
        foreach ($sum->tallies as $tally) {
            $what = array_filter([
                'cells' === $sum->shape->value ? $rows[$tally->item] ?? '' : '',
                $heads[$tally->under] ?? '',
                $tally->text,
            ], static fn (string $part): bool => '' !== $part);
            $lines .= \sprintf(
                '<tr><td class="count">%d</td><td class="what">%s%s'.
                    '<div class="bar" style="width: %.1F%%"></div></td><td class="who">%s</td></tr>',
                $tally->count,
                $this->paper->set(implode(' · ', $what)),
                true === $tally->right ? ' <b>'.$this->paper->set($this->say('right'), 'bold').'</b>' : '',
                100 * $tally->count / $most,
                $this->paper->set($this->names($sum, $tally->sources)),
            );
        }

        return \sprintf(
            '<div class="question"><div class="text">%s</div><div class="of">%s</div><table>%s</table>%s</div>',
            $this->paper->set($sum->block->text, 'bold'),
            $this->paper->set($this->say('answered', ['n' => $sum->answered, 'all' => $sum->all])),
            $lines,
            [] === $sum->missing
                ? ''
                : '<div class="of">'.
                    $this->paper->set($this->say('missing', ['names' => $this->names($sum, $sum->missing)])).
                    '</div>',
        );
    }

    /**
     * @param list<int> $places among the sources
     */
    private function names(SumView $sum, array $places): string
    {
        return implode(', ', array_map(static fn (int $place): string => $sum->sources[$place]->name, $places));
    }

    /**
     * @param array<string, int|string> $values
     */
    private function say(string $code, array $values = []): string
    {
        return $this->words->say(new Message('debrief.paper.'.$code, $values));
    }

    private static function style(): string
    {
        return '@page { margin: 12mm; } body { margin: 0; color: #1c2333; font-family: {text}; font-size: 10pt; } '.
            Heading::STYLE.
            'h2 { font-weight: normal; font-size: 13pt; margin: 5mm 0 1mm; }
            .question { margin-top: 4mm; page-break-inside: avoid; } .text { font-size: 11pt; }
            .of { color: #555c6c; font-size: 9pt; }
            table { width: 186mm; border-collapse: collapse; }
            .head { margin-bottom: 2mm; }
            .question td { vertical-align: top; padding: 0.8mm 1mm; border-bottom: 0.15mm solid #d0d0c8;
                line-height: 1.15; }
            .count { width: 8mm; text-align: right; } .who { width: 62mm; color: #555c6c; font-size: 9pt; }
            .bar { height: 1mm; background: #1c2333; }';
    }
}
