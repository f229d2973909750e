<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

/**
 * The plan of the floor on paper, to be read from a wall: each table in its colour with its sign, its name tags below.
 * The tables fill the page; where there are too many for one, they go on over the next.
 */
final readonly class PlanPdf
{
    /** Millimetres of a page for tables. */
    private const HEIGHT = 166.0;
    private const HEAD = 13.5;
    /** A line of what the table gets. */
    private const FOOT = 5.4;
    private const GAP = 4.0;
    /** A name tag is at most so high; at least so high, without and with a line for what its number carries. */
    private const MOST = 15.0;
    private const LEAST = [6.0, 9.0];
    /** Millimetres of a point; how wide a sign is on average, and how high a line, as shares of the size. */
    private const POINT = 0.353;
    private const SIGN = 0.53;
    private const LINE = 1.45;

    public function __construct(private Paper $paper, private Heading $heading)
    {
    }

    /**
     * @param string          $title  large, above all
     * @param string          $sub    whose it is
     * @param list<PlanTable> $tables those without anybody are left out
     */
    public function make(string $title, string $sub, array $tables): string
    {
        $tables = array_values(array_filter($tables, static fn (PlanTable $table): bool => [] !== $table->tags));
        $tags = array_merge(...array_map(static fn (PlanTable $table): array => $table->tags, $tables), ...[[]]);
        $hasNotes = [] !== array_filter($tags, static fn (array $tag): bool => '' !== $tag['note']);
        $across = match (true) {
            \count($tables) <= 2 => 2,
            \count($tables) <= 9 => 3,
            \count($tables) <= 16 => 4,
            default => 5,
        };
        $largest = max([1, ...array_map(static fn (PlanTable $table): int => \count($table->tags), $tables)]);
        $head =
            self::HEAD +
            self::FOOT * max([0, ...array_map(static fn (PlanTable $table): int => \count($table->lines), $tables)]);
        $fit = max(1, (int) floor(self::HEIGHT / ($head + self::GAP + self::LEAST[(int) $hasNotes] * $largest)));
        $down = min($fit, max(1, (int) ceil(\count($tables) / $across)));
        $tag = min(
            self::MOST,
            max(self::LEAST[(int) $hasNotes], (self::HEIGHT / $down - $head - self::GAP) / $largest),
        );
        $pages = array_chunk($tables, max(1, $across * $down));
        $body = Heading::pages(
            $this->heading->html($title, $sub),
            array_map(
                fn (array $page): string => $this->page($page, $across),
                [] === $pages ? [[]] : $pages,
            ),
        );

        return $this->paper->pdf(
            self::style(
                $tag,
                $across,
                $hasNotes,
                max([8, ...array_map(static fn (array $tag): int => mb_strlen($tag['name']), $tags)]),
            ),
            $body,
        );
    }

    /**
     * @param list<PlanTable> $tables
     * @param int<1, max>     $across
     */
    private function page(array $tables, int $across): string
    {
        $html = '';
        foreach (array_chunk($tables, $across) as $row) {
            $html .=
                '<tr>'.
                implode('', array_map($this->table(...), $row)).
                str_repeat('<td class="none"></td>', $across - \count($row)).
                '</tr>';
        }

        return '<table class="plan">'.$html.'</table>';
    }

    private function table(PlanTable $table): string
    {
        return \sprintf(
            '<td class="cell"><table class="slab" style="border-color: %s; background: %s"><tr><td class="sign"><img src="%s"></td><td class="name">%s</td><td class="number">%s</td></tr></table>%s%s</td>',
            Marks::colour($table->mark),
            Marks::tint($table->mark, 0.16),
            Marks::symbol($table->mark),
            $this->paper->set($table->name, 'head'),
            $this->paper->set((string) $table->number),
            implode(
                '',
                array_map(
                    fn (string $line): string => '<div class="line">'.$this->paper->set($line).'</div>',
                    $table->lines,
                ),
            ),
            implode('', array_map($this->tag(...), $table->tags)),
        );
    }

    /**
     * @param array{seat: int, name: string, note: string} $tag
     */
    private function tag(array $tag): string
    {
        return \sprintf(
            '<table class="tag"><tr><td class="seat">%d</td><td>%s%s</td></tr></table>',
            $tag['seat'],
            $this->paper->set($tag['name']),
            '' === $tag['note'] ? '' : '<br><span class="note">'.$this->paper->set($tag['note']).'</span>',
        );
    }

    /**
     * @param float $tag     height of a name tag, millimetres
     * @param int   $longest signs of the longest name
     */
    private static function style(float $tag, int $across, bool $hasNotes, int $longest): string
    {
        $width = 277 / $across - 14;
        $size = min(
            16.0,
            ($tag - 2.6) / (self::LINE * self::POINT * ($hasNotes ? 1.75 : 1)),
            $width / (self::SIGN * self::POINT * $longest),
        );

        return '@page { margin: 10mm 10mm 8mm; } body { margin: 0; color: #1c2333; font-family: {text}; font-size: '.
            $size.
            'pt; }
            .page { height: 190mm; overflow: hidden; } .next { page-break-before: always; }
            '.
            Heading::STYLE.
            '            .plan { width: 285mm; border-collapse: separate; border-spacing: 4mm '.
            self::GAP / 2 .
            'mm; margin: 1mm 0 0 -4mm; table-layout: fixed; }
            .cell { padding: 0; vertical-align: top; } .none { padding: 0; }
            .slab { width: 100%; border: 0.6mm solid; border-collapse: separate; border-spacing: 0; height: 9.5mm; }
            .slab td { vertical-align: middle; padding: 0.5mm 2mm; }
            .sign { width: 6mm; padding-right: 0 !important; }
            .sign img { width: 5.5mm; height: 5.5mm; }
            .name { font-size: '.
            min(14.0, $size * 1.2).
            'pt; } .number { text-align: right; width: 6mm; color: #555c6c; font-size: 9pt; }
            .line { height: '.
            (self::FOOT - 0.8).
            'mm; padding: 0.8mm 0 0 2mm; font-size: 8.5pt; line-height: 1; white-space: nowrap; overflow: hidden; }
            .tag { width: 100%; height: '.
            ($tag - 2.6).
            'mm; margin-top: 1mm; border: 0.3mm solid #1c2333; border-collapse: separate;
                border-spacing: 0; background: #fffdf8; }
            .tag td { vertical-align: middle; padding: 0 2mm 0.8mm 0; line-height: 1;
                white-space: nowrap; overflow: hidden; }
            .tag .seat { width: 5mm; padding-left: 2mm; color: #555c6c; font-size: 8pt; }
            .note { color: #555c6c; font-size: 75%; }';
    }
}
