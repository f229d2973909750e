<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Export;

use FreshHuddle\App\Database\Clock;
use FreshHuddle\App\Grouping\Desk\DeskView;
use FreshHuddle\App\Grouping\Floor\GroupView;
use FreshHuddle\App\Print\Marks;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * The plan of the floor on paper, to be read from a wall: each table in its colour with its sign, its name tags below. The
 * tables fill the page; where there are too many for one, they go on over the next.
 */
final readonly class PlanPdf
{
    /** Millimetres of a page for tables. */
    private const HEIGHT = 166.0;
    private const HEAD = 13.5;
    private const GAP = 4.0;
    /** A name tag is at most so high; at least so high, without and with a line for what its number carries. */
    private const MOST = 15.0;
    private const LEAST = [6.0, 9.0];
    /** Millimetres of a point; how wide a sign is on average, and how high a line, as shares of the size. */
    private const POINT = 0.353;
    private const SIGN = 0.53;
    private const LINE = 1.45;

    public function __construct(private Paper $paper, private Words $words, private Clock $clock)
    {
    }

    /**
     * @param list<array{int, string, int, string, string, string, string}> $seats group number, group, seat, student, role, task, id
     */
    public function make(DeskView $desk, array $seats): string
    {
        $tags = $this->tags($seats);
        $hasNotes = $desk->numbers->areGiven();
        $tables = array_values(array_filter($desk->floor->groups, static fn (GroupView $group): bool => [] !== ($tags[$group->number] ?? [])));
        $across = match (true) {
            \count($tables) <= 2 => 2,
            \count($tables) <= 9 => 3,
            \count($tables) <= 16 => 4,
            default => 5,
        };
        $largest = max([1, ...array_map('count', $tags)]);
        $fit = max(1, (int) floor(self::HEIGHT / (self::HEAD + self::GAP + self::LEAST[(int) $hasNotes] * $largest)));
        $down = min($fit, max(1, (int) ceil(\count($tables) / $across)));
        $tag = min(self::MOST, max(self::LEAST[(int) $hasNotes], (self::HEIGHT / $down - self::HEAD - self::GAP) / $largest));
        $body = '';
        $pages = array_chunk($tables, max(1, $across * $down));
        foreach ([] === $pages ? [[]] : $pages as $number => $page) {
            $body .= \sprintf('<div class="page%s">%s%s</div>', 0 === $number ? '' : ' next', $this->head($desk), $this->page($page, $tags, $across));
        }

        return $this->paper->pdf(self::style($tag, $across, $hasNotes, max([8, ...array_map(static fn (array $seat): int => mb_strlen($seat[3]), $seats)])), $body);
    }

    private function head(DeskView $desk): string
    {
        $date = $this->words->say(new Message('grouping.printed', ['at' => intdiv($this->clock->ms(), 1_000)]));

        return \sprintf(
            '<table class="head"><tr><td class="title">%s</td><td class="mark"><table class="word"><tr><td class="fresh">%s</td><td>%s</td></tr></table></td></tr><tr><td class="sub">%s</td><td class="mark sub">%s</td></tr></table>',
            $this->paper->set($desk->name, 'head'),
            $this->paper->set('Fresh', 'head'),
            $this->paper->set('Huddle', 'head'),
            $this->paper->set($desk->className),
            $this->paper->set($date),
        );
    }

    /**
     * @param list<GroupView>          $tables
     * @param array<int, list<string>> $tags
     * @param int<1, max>              $across
     */
    private function page(array $tables, array $tags, int $across): string
    {
        $html = '';
        foreach (array_chunk($tables, $across) as $row) {
            $cells = array_map(fn (GroupView $group): string => $this->table($group, $tags[$group->number]), $row);
            $html .= '<tr>'.implode('', $cells).str_repeat('<td class="none"></td>', $across - \count($row)).'</tr>';
        }

        return '<table class="plan">'.$html.'</table>';
    }

    /**
     * @param list<string> $tags
     */
    private function table(GroupView $group, array $tags): string
    {
        return \sprintf(
            '<td class="cell"><table class="slab" style="border-color: %s; background: %s"><tr><td class="sign"><img src="%s"></td><td class="name">%s</td><td class="number">%s</td></tr></table>%s</td>',
            Marks::colour($group->mark),
            Marks::tint($group->mark, 0.16),
            Marks::sign($group->mark),
            $this->paper->set($group->name, 'head'),
            $this->paper->set((string) $group->number),
            implode('', $tags),
        );
    }

    /**
     * @param list<array{int, string, int, string, string, string, string}> $seats
     *
     * @return array<int, list<string>> the name tags in the order of their seats, by number of the table
     */
    private function tags(array $seats): array
    {
        $tags = [];
        foreach ($seats as [$number, , $seat, $name, $role, $task]) {
            $note = implode(' · ', array_filter([$role, $task], static fn (string $text): bool => '' !== $text));
            $tags[$number][] = \sprintf('<table class="tag"><tr><td class="seat">%d</td><td>%s%s</td></tr></table>', $seat, $this->paper->set($name), '' === $note ? '' : '<br><span class="note">'.$this->paper->set($note).'</span>');
        }

        return $tags;
    }

    /**
     * @param float $tag     height of a name tag, millimetres
     * @param int   $longest signs of the longest name
     */
    private static function style(float $tag, int $across, bool $hasNotes, int $longest): string
    {
        $width = 277 / $across - 14;
        $size = min(16.0, ($tag - 2.6) / (self::LINE * self::POINT * ($hasNotes ? 1.75 : 1)), $width / (self::SIGN * self::POINT * $longest));

        return '@page { margin: 10mm 10mm 8mm; } body { margin: 0; color: #1c2333; font-family: {text}; font-size: '.$size.'pt; }
            .page { height: 190mm; overflow: hidden; } .next { page-break-before: always; }
            .head { width: 100%; border-collapse: collapse; border-bottom: 0.6mm solid #1c2333; } .head td { padding: 0; vertical-align: bottom; }
            .title { font-size: 19pt; width: 75%; } .sub { font-size: 10.5pt; color: #555c6c; height: 7mm; vertical-align: top !important; } .mark { text-align: right; font-size: 12pt; } .mark.sub { font-size: 10.5pt; } .word { width: auto; margin: 0 0 1mm auto; border-collapse: collapse; } .word td { padding: 0 0 0.6mm 1mm; } .word .fresh { background: #d4ee3a; padding: 0 1mm 0.6mm; }
            .plan { width: 285mm; border-collapse: separate; border-spacing: 4mm '.(self::GAP / 2).'mm; margin: 1mm 0 0 -4mm; table-layout: fixed; }
            .cell { padding: 0; vertical-align: top; } .none { padding: 0; }
            .slab { width: 100%; border: 0.6mm solid; border-collapse: separate; border-spacing: 0; height: 9.5mm; } .slab td { vertical-align: middle; padding: 0.5mm 2mm; }
            .sign { width: 6mm; padding-right: 0 !important; } .sign img { width: 5.5mm; height: 5.5mm; } .name { font-size: '.min(14.0, $size * 1.2).'pt; } .number { text-align: right; width: 6mm; color: #555c6c; font-size: 9pt; }
            .tag { width: 100%; height: '.($tag - 2.6).'mm; margin-top: 1mm; border: 0.3mm solid #1c2333; border-collapse: separate; border-spacing: 0; background: #fffdf8; }
            .tag td { vertical-align: middle; padding: 0 2mm 0.8mm 0; line-height: 1; white-space: nowrap; overflow: hidden; } .tag .seat { width: 5mm; padding-left: 2mm; color: #555c6c; font-size: 8pt; } .note { color: #555c6c; font-size: 75%; }';
    }
}
