<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Term;

use FreshHuddle\App\Print\Heading;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * A term on paper: who has worked with whom on the first page, the counts after it. A class that is too large for one
 * page of pairs has them in the CSV only.
 */
final readonly class TermPdf
{
    /** So many students can be told apart on one page. */
    private const READABLE = 45;
    /** Millimetres: room for the pairs, for names at their side, and above them. */
    private const ROOM = 158.0;
    private const NAMES = 44.0;
    private const ABOVE = 6.0;
    /** Lines of the counts on a page. */
    private const LINES = 30;

    public function __construct(private Paper $paper, private Heading $heading, private Words $words)
    {
    }

    /**
     * @return string a PDF
     */
    public function make(TermView $term): string
    {
        $head = $this->heading->html(
            $term->className,
            $this->say('title').' · '.$this->say('lessons', ['n' => \count($term->lessons)]),
        );
        $count = \count($term->students);
        $pages = $count > 0 && $count <= self::READABLE ? [$this->pairs($term)] : [];
        $rows = array_map(fn (TermStudentView $one): string => $this->row($term, $one), $term->students);
        foreach (array_chunk([] === $rows ? [''] : $rows, self::LINES) as $some) {
            $pages[] = '<table class="counts">'.$this->columns($term).implode('', $some).'</table>';
        }

        return $this->paper->pdf(self::style(max(1, $count)), Heading::pages($head, $pages));
    }

    private function pairs(TermView $term): string
    {
        $times = $term->times();
        $most = max([1, ...array_column($term->together, 2)]);
        $html = '<tr><td class="who"></td>';
        foreach (array_keys($term->students) as $j) {
            $html .= '<td class="no">'.($j + 1).'</td>';
        }
        $html .= '</tr>';
        foreach ($term->students as $i => $student) {
            $html .= '<tr><td class="who">'.($i + 1).'&nbsp; '.$this->paper->set($student->name).'</td>';
            foreach (array_keys($term->students) as $j) {
                $much = $times[$i][$j] ?? 0;
                $html .= $i === $j
                    ? '<td class="self"></td>'
                    : \sprintf(
                        '<td style="background: %s; color: %s">%s</td>',
                        self::shade($much / $most),
                        2 * $much > $most ? '#ffffff' : '#1c2333',
                        0 === $much ? '' : $much,
                    );
            }
            $html .= '</tr>';
        }

        return '<table class="pairs">'.$html.'</table>';
    }

    private function columns(TermView $term): string
    {
        $cells = array_map(
            fn (string $code): string => '<th>'.$this->paper->set($this->say($code), 'bold').'</th>',
            ['name', 'there', 'missing', 'called_on', 'visited'],
        );
        foreach ($term->roles as $role) {
            $cells[] = '<th>'.$this->paper->set($role, 'bold').'</th>';
        }

        return '<tr>'.implode('', $cells).'</tr>';
    }

    private function row(TermView $term, TermStudentView $student): string
    {
        return '<tr><td class="name">'.$this->paper->set($student->name).'</td>'.
            implode(
                '',
                array_map(static fn (int|string $one): string => "<td>{$one}</td>", $student->counts($term->roles)),
            ).
            '</tr>';
    }

    /**
     * @param float $share 0 to 1
     */
    private static function shade(float $share): string
    {
        $part = static fn (int $ink): string => \sprintf('%02x', (int) round(255 - 0.85 * $share * (255 - $ink)));

        return '#'.$part(0x1C).$part(0x23).$part(0x33);
    }

    /**
     * @param array<string, int> $values
     */
    private function say(string $code, array $values = []): string
    {
        return $this->words->say(new Message('record.term.'.$code, $values));
    }

    /**
     * @param int<1, max> $count students
     */
    private static function style(int $count): string
    {
        $cell = min(7.5, (self::ROOM - self::ABOVE) / $count, (277 - self::NAMES) / $count);

        return '@page { margin: 10mm 10mm 8mm; }
            body { margin: 0; color: #1c2333; font-family: {text}; font-size: 9pt; }
            .page { height: 190mm; overflow: hidden; } .next { page-break-before: always; } '.
            Heading::STYLE.
            '.pairs { margin-top: 3mm; border-collapse: collapse; font-size: '.
            min(9.0, $cell * 1.75).
            'pt; }
            .pairs td { width: '.
            ($cell - 0.2).
            'mm; height: '.
            ($cell - 0.4).
            'mm; padding: 0; text-align: center; line-height: 1; border: 0.1mm solid #d0d0c8; }
            .pairs .who { width: '.
            self::NAMES.
            'mm; text-align: left; border: 0; white-space: nowrap; overflow: hidden; }
            .pairs .no { border: 0; color: #555c6c; } .pairs .self { background: #e4e2da; }
            .counts { width: 277mm; margin-top: 3mm; border-collapse: collapse; }
            .counts th { text-align: left; padding: 0.5mm 2mm; border-bottom: 0.5mm solid #1c2333;
                font-weight: normal; }
            .counts td { padding: 0.4mm 2mm; border-bottom: 0.15mm solid #d0d0c8; line-height: 1.15; }';
    }
}
