<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * What stands at the top of a printed page: what it is, whose, and when it was printed.
 */
final readonly class Heading
{
    /** CSS for it, in a page that Paper sets. */
    public const STYLE = '
            .head { width: 100%; border-collapse: collapse; border-bottom: 0.6mm solid #1c2333; }
            .head td { padding: 0; vertical-align: bottom; }
            .title { font-size: 19pt; width: 75%; }
            .sub { font-size: 10.5pt; color: #555c6c; height: 7mm; vertical-align: top !important; }
            .mark { text-align: right; font-size: 12pt; }
            .mark.sub { font-size: 10.5pt; }
            .word { width: auto; margin: 0 0 1mm auto; border-collapse: collapse; }
            .word td { padding: 0 0 0.6mm 1mm; }
            .word .fresh { background: #d4ee3a; padding: 0 1mm 0.6mm; }
            ';

    public function __construct(private Paper $paper, private Words $words, private Clock $clock)
    {
    }

    /**
     * Pages that all begin with the same.
     *
     * @param list<string> $pages HTML of each
     */
    public static function pages(string $head, array $pages): string
    {
        $body = '';
        foreach ($pages as $number => $page) {
            $body .= \sprintf('<div class="page%s">%s%s</div>', 0 === $number ? '' : ' next', $head, $page);
        }

        return $body;
    }

    /**
     * @param string $title large
     * @param string $sub   whose it is
     */
    public function html(string $title, string $sub): string
    {
        $date = $this->words->say(new Message('print.printed', ['at' => intdiv($this->clock->ms(), 1_000)]));

        return \sprintf(
            '<table class="head"><tr><td class="title">%s</td><td class="mark">'.
                '<table class="word"><tr><td class="fresh">%s</td><td>%s</td></tr></table></td></tr>'.
                '<tr><td class="sub">%s</td><td class="mark sub">%s</td></tr></table>',
            $this->paper->set($title, 'head'),
            $this->paper->set('Fresh', 'head'),
            $this->paper->set('Huddle', 'head'),
            $this->paper->set($sub),
            $this->paper->set($date),
        );
    }
}
