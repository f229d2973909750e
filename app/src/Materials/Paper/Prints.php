<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Paper;

use FreshHuddle\App\Print\Code;
use FreshHuddle\App\Print\Marks;
use FreshHuddle\App\Print\Paper;
use FreshHuddle\App\Print\PlanPdf;
use FreshHuddle\App\Print\PlanTable;
use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;

/**
 * A round's plan and slips as files for the printer.
 */
final readonly class Prints
{
    /** Slips of a page: two beside each other, four below each other, cut along the lines. */
    private const OF_PAGE = 8;

    public function __construct(private Paper $paper, private PlanPdf $plan, private Words $words)
    {
    }

    /**
     * Who sits where, with the work of each group, to be read from a wall; and when the lesson is.
     *
     * @param string $zone in which its time is said, such as Europe/London
     */
    public function plan(HandoutsView $round, string $zone = 'UTC'): string
    {
        $tables = [];
        foreach ($round->groups as $group) {
            $tags = [];
            foreach ($round->slips as $slip) {
                if ($slip->group === $group->number) {
                    $tags[] = [
                        'seat' => (int) $slip->seat,
                        'name' => $slip->name,
                        'note' => implode(
                            ' · ',
                            array_filter([$slip->role, $slip->task], static fn (string $text): bool => '' !== $text),
                        ),
                    ];
                }
            }
            $tables[] = new PlanTable(
                $group->number,
                $group->name,
                $group->mark,
                $tags,
                array_map($this->line(...), $group->work),
            );
        }

        return $this->plan->make(
            $round->title,
            implode(' · ', [
                $round->className,
                ...null === $round->startsAt ? [] : [self::moment($round->startsAt, $zone)],
                ...array_map($this->line(...), $round->work),
            ]),
            $tables,
        );
    }

    private static function moment(int $at, string $zone): string
    {
        $format = new \IntlDateFormatter(
            'en_GB',
            \IntlDateFormatter::FULL,
            \IntlDateFormatter::SHORT,
            \in_array($zone, \DateTimeZone::listIdentifiers(), true) ? $zone : 'UTC',
        );

        return (string) $format->format(intdiv($at, 1_000));
    }

    /**
     * @param string $origin of the address students type, such as https://school.example
     */
    public function slips(HandoutsView $round, string $origin): string
    {
        $html = '';
        foreach (array_chunk($round->slips, self::OF_PAGE) as $n => $page) {
            $html .= \sprintf('<table class="page%s">', 0 === $n ? '' : ' next');
            foreach (array_chunk($page, 2) as $pair) {
                $cells = array_map(
                    fn (Handout $slip): string => '<td class="slip">'.$this->slip($slip, $round, $origin).'</td>',
                    $pair,
                );
                $html .=
                    '<tr>'.implode('', $cells).str_repeat('<td class="slip"></td>', 2 - \count($pair)).'</tr>';
            }
            $html .= '</table>';
        }

        return $this->paper->pdf(self::STYLE, $html, false);
    }

    private function slip(Handout $slip, HandoutsView $round, string $origin): string
    {
        $lines =
            null === $slip->picture
                ? []
                : ['<div class="picture"><img src="'.Marks::picture($slip->picture).'"></div>'];
        foreach ($round->groups as $group) {
            if ($group->number === $slip->group) {
                $lines[] = \sprintf(
                    '<div class="group"><img src="%s"> %s</div>',
                    Marks::symbol($group->mark),
                    $this->paper->set($group->name, 'head'),
                );
            }
        }
        if (null !== $slip->seat) {
            $lines[] =
                '<div class="number">'.
                $this->paper->set(
                    $this->words->say(
                        '' === $slip->role
                            ? new Message('print.number', ['number' => $slip->seat])
                            : new Message('print.number_and_role', ['number' => $slip->seat, 'role' => $slip->role]),
                    ),
                ).
                '</div>';
        }
        if ('' !== $slip->task) {
            $lines[] = '<div class="task">'.$this->paper->set(mb_strimwidth($slip->task, 0, 110, '…')).'</div>';
        }

        return \sprintf(
            '<div class="in"><table class="top"><tr><td><div class="class">%s</div><div class="name" style="font-size: %dpt">%s</div>%s</td><td class="code"><img src="%s"><div class="scan">%s</div></td></tr></table><div class="way">%s</div></div>',
            $this->paper->set(mb_strimwidth($round->className.' · '.$round->title, 0, 52, '…')),
            self::sizeOf($slip->name),
            $this->paper->set($slip->name, 'head'),
            implode('', $lines),
            Code::forText($origin.$slip->pass),
            $this->paper->set($this->words->say(new Message('print.scan'))),
            $this->paper->set(
                $this->words->say(
                    new Message('print.way_in', [
                        'address' => preg_replace('~^https?://~', '', $origin).'/student',
                        'doorWord' => $round->doorWord,
                    ]),
                ),
            ),
        );
    }

    /**
     * @return int points: a name of usual length stands on one line, a long one on two
     */
    private static function sizeOf(string $name): int
    {
        return match (true) {
            mb_strlen($name) <= 16 => 19,
            mb_strlen($name) <= 20 => 15,
            mb_strlen($name) <= 50 => 12,
            default => 9,
        };
    }

    private function line(WorkLine $line): string
    {
        return $this->words->say(
            null === $line->variant
                ? new Message('print.work', ['title' => $line->title, 'way' => $line->way->value])
                : new Message('print.work_in_variant', [
                    'title' => $line->title,
                    'way' => $line->way->value,
                    'variant' => $line->variant,
                ]),
        );
    }

    private const STYLE = '@page { margin: 0; }
        body { margin: 0; color: #1c2333; font-family: {text}; font-size: 11pt; }
        .page { width: 210mm; border-collapse: collapse; table-layout: fixed; } .next { page-break-before: always; }
        .slip { width: 105mm; height: 74mm; padding: 0; vertical-align: top; border: 0.2mm dashed #888; }
        .in { position: relative; height: 72mm; overflow: hidden; }
        .top { width: 100%; border-collapse: collapse; }
        .top td { padding: 6mm 0 0 7mm; vertical-align: top; }
        .top .code { width: 36mm; padding: 3mm 4mm 0 1mm; text-align: center; }
        .code img { width: 36mm; height: 36mm; }
        .scan { font-size: 10pt; line-height: 1; font-weight: bold; }
        .class { font-size: 8.5pt; color: #555c6c; }
        .name { padding: 0.5mm 0 1mm; }
        .name span { line-height: 1.05; }
        .group { font-size: 14pt; line-height: 1.2; }
        .group img { width: 5.5mm; height: 5.5mm; }
        .picture img { width: 13mm; height: 13mm; }
        .number { font-size: 11.5pt; padding-top: 1mm; }
        .task { font-size: 10pt; }
        .way { position: absolute; left: 7mm; bottom: 4mm; font-size: 11pt; }';
}
