<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Sending;

use FreshHuddle\App\Words\Direction;

/**
 * What one student is written.
 */
final readonly class StudentLetter
{
    /**
     * @param list<string> $lines  what it says, a paragraph each
     * @param string       $digest see LetterFacts
     * @param string       $link   their own way in
     * @param string       $press  what is on the link
     */
    public function __construct(
        public string $student,
        public string $address,
        public string $subject,
        public array $lines,
        public string $link,
        public string $press,
        public Direction $direction,
        public string $digest,
    ) {
    }

    public function text(): string
    {
        return implode("\n\n", [...$this->lines, $this->link])."\n";
    }

    /**
     * Every paragraph finds its own direction; the whole stands in the student's.
     */
    public function html(): string
    {
        $escape = static fn (string $text): string => nl2br(
            htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE),
            false,
        );
        $paragraphs = array_map(
            static fn (string $line): string => '<p dir="auto" style="margin:0 0 1em">'.$escape($line).'</p>',
            $this->lines,
        );

        return '<!doctype html><html dir="'.
            $this->direction->value.
            '"><head><meta charset="utf-8"><title>'.
            $escape($this->subject).
            '</title></head>'.
            '<body dir="'.
            $this->direction->value.
            '" style="font:17px/1.45 sans-serif;max-width:34em">'.
            implode('', $paragraphs).
            '<p><a href="'.
            $escape($this->link).
            '">'.
            $escape($this->press).
            '</a></p></body></html>';
    }
}
