<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Format;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockItem;
use FreshHuddle\Core\Materials\BlockKind;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\BlockVariant;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Original;
use FreshHuddle\Core\Materials\Page;
use FreshHuddle\Core\Materials\Slot\Things;
use FreshHuddle\Core\Materials\SlotPart;
use FreshHuddle\Core\Materials\Variant;

/**
 * An original as a text file: Markdown with front matter (docs/formats/original.md). What a teacher types by hand is
 * read; what is written holds everything, so that reading it gives the same original.
 */
final class MarkdownFile
{
    private const FIELDS = ['title', 'subject', 'year', 'about'];

    private int $made = 0;

    /**
     * @param array{subject: string, year: string, about: string} $found words to find it by
     */
    public static function write(Original $original, array $found): string
    {
        $lines = ['---', 'title: '.self::flat($original->title)];
        foreach ($found as $name => $text) {
            if ('' !== $text) {
                $lines[] = "{$name}: ".self::flat($text);
            }
        }
        foreach ($original->variants as $variant) {
            $lines[] = "variant: {$variant->id} ".self::flat($variant->name);
        }
        $lines[] = '---';
        foreach ($original->pages as $page) {
            $lines[] = '';
            $lines[] = rtrim("=== #{$page->id} ".self::flat($page->title));
            foreach ($page->blocks as $block) {
                array_push($lines, '', ...self::block($block));
            }
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @return array{original: Original, found: array{subject: string, year: string, about: string}}
     *
     * @throws UnusableOriginal with the line that cannot be read
     */
    public function read(string $text, string $untitled): array
    {
        $this->made = 0;
        $lines = explode("\n", str_replace(["\r\n", "\r", "\u{FEFF}"], ["\n", "\n", ''], $text));
        $fields = array_fill_keys(self::FIELDS, '');
        $variants = [];
        $at = 1;
        if ('---' === trim($lines[0])) {
            for (; isset($lines[$at]) && '---' !== trim($lines[$at]); ++$at) {
                if ('' === trim($lines[$at])) {
                    continue;
                }
                if (1 !== preg_match('/^\s*([a-z]+)\s*:\s*(.*)$/u', $lines[$at], $pair)) {
                    throw UnusableOriginal::unreadableLine($at + 1);
                }
                if ('variant' === $pair[1]) {
                    [$id, $name] = explode(' ', $pair[2], 2) + [1 => ''];
                    $variants[] = new Variant($id, self::unflat($name));
                } elseif (\in_array($pair[1], self::FIELDS, true)) {
                    $fields[$pair[1]] = self::unflat($pair[2]);
                }
            }
            if (!isset($lines[$at])) {
                throw UnusableOriginal::unreadableLine($at);
            }
            ++$at;
        } else {
            $at = 0;
        }
        $pages = $this->pages($lines, $at);
        $title = $fields['title'];
        unset($fields['title']);

        return [
            'original' => new Original('' === trim($title) ? $untitled : $title, $pages, $variants),
            'found' => $fields,
        ];
    }

    /**
     * @param list<string> $lines
     *
     * @return list<Page>
     */
    private function pages(array $lines, int $at): array
    {
        $pages = [];
        $current = null;
        $loose = [];
        $close = function () use (&$loose, &$current): void {
            $text = trim(implode("\n", array_map(self::unescaped(...), $loose)), "\n");
            $loose = [];
            if ('' !== trim($text)) {
                $current ??= ['id' => $this->id('p'), 'title' => '', 'blocks' => []];
                $current['blocks'][] = new Block($this->id('b'), BlockKind::Text, $text);
            }
        };
        for ($count = \count($lines); $at < $count; ++$at) {
            $line = $lines[$at];
            if (1 === preg_match('/^===+\s*(?:#([a-z0-9-]{1,40})(?:\s+|$))?(.*)$/u', $line, $head)) {
                $close();
                if (null !== $current) {
                    $pages[] = new Page($current['id'], $current['title'], $current['blocks']);
                }
                $current = [
                    'id' => '' === $head[1] ? $this->id('p') : $head[1],
                    'title' => self::unflat(trim($head[2])),
                    'blocks' => [],
                ];
            } elseif (str_starts_with($line, ':::')) {
                $close();
                $current ??= ['id' => $this->id('p'), 'title' => '', 'blocks' => []];
                $from = $at + 1;
                $inside = [];
                for (++$at; $at < $count && ':::' !== rtrim($lines[$at]); ++$at) {
                    $inside[] = $lines[$at];
                }
                if ($at >= $count) {
                    throw UnusableOriginal::unreadableLine($from);
                }
                $words = preg_split('/\s+/', trim(substr($line, 3)), -1, \PREG_SPLIT_NO_EMPTY);
                $words = false === $words ? [] : $words;
                if ('variant' === ($words[0] ?? '')) {
                    $last = array_pop($current['blocks']) ?? throw UnusableOriginal::unreadableLine($from);
                    $current['blocks'][] = self::withVariant(
                        $last,
                        $words[1] ?? throw UnusableOriginal::unreadableLine($from),
                        $inside,
                    );
                } else {
                    $current['blocks'][] = $this->fenced($words, $inside, $from);
                }
            } else {
                $loose[] = $line;
            }
        }
        $close();
        if (null !== $current) {
            $pages[] = new Page($current['id'], $current['title'], $current['blocks']);
        }

        return $pages;
    }

    /**
     * @param list<string> $words  behind the fence
     * @param list<string> $inside
     */
    private function fenced(array $words, array $inside, int $line): Block
    {
        $kind = BlockKind::tryFrom($words[0] ?? '') ?? throw UnusableOriginal::unreadableLine($line);
        $id = null;
        $address = $media = '';
        foreach (\array_slice($words, 1) as $word) {
            if (str_starts_with($word, '#')) {
                $id = substr($word, 1);
            } elseif (1 === preg_match(BlockSettings::MEDIA, $word)) {
                $media = $word;
            } elseif (BlockKind::Link === $kind && str_contains($word, ':')) {
                $address = $word;
            }
        }
        $text = $passage = $items = $heads = [];
        foreach ($inside as $row) {
            if ($kind->slot() instanceof Things || BlockKind::Picture === $kind || BlockKind::SpokenNote === $kind) {
                if (
                    1 === preg_match('/^([-*]) (?:\[(.*?)\] )?(.*?)(?:\s*\{#([a-z0-9-]{1,40})\})?$/u', $row, $found)
                ) {
                    $items[] = ['text' => self::unflat($found[3]), 'id' => $found[4] ?? '', 'under' => $found[2]];
                    continue;
                }
                if (1 === preg_match('/^\+ (.*?)(?:\s*\{#([a-z0-9-]{1,40})\})?$/u', $row, $found)) {
                    $heads[] = new BlockItem(
                        '' === ($found[2] ?? '') ? $this->id('h') : $found[2],
                        self::unflat($found[1]),
                    );
                    continue;
                }
                if (str_starts_with($row, '>')) {
                    $passage[] = (string) preg_replace('/^> ?/', '', $row);
                    continue;
                }
            }
            $text[] = self::unescaped($row);
        }
        $settings = new BlockSettings(
            $this->items($items, $heads),
            $heads,
            implode("\n", $passage),
            $address,
            \in_array('alone', $words, true),
            \in_array('several', $words, true),
            \in_array('growing', $words, true),
            !\in_array('hidden', $words, true),
            $media,
            self::part($words),
        );

        return new Block($id ?? $this->id('b'), $kind, implode("\n", $text), $settings);
    }

    /**
     * Under: the text of a heading, or “#” and its id.
     *
     * @param list<array{text: string, id: string, under: string}> $items
     * @param list<BlockItem>                                      $heads
     *
     * @return list<BlockItem>
     */
    private function items(array $items, array $heads): array
    {
        $byText = [];
        foreach ($heads as $head) {
            $byText[mb_strtolower($head->text)] ??= $head->id;
            $byText["#{$head->id}"] = $head->id;
        }

        return array_map(
            fn (array $item): BlockItem => new BlockItem(
                '' === $item['id'] ? $this->id('i') : $item['id'],
                $item['text'],
                $byText[$item['under']] ?? ($byText[mb_strtolower($item['under'])] ?? ''),
            ),
            $items,
        );
    }

    /**
     * @param list<string> $words behind the fence
     */
    private static function part(array $words): SlotPart
    {
        $seats = [];
        $role = '';
        foreach ($words as $word) {
            if (1 === preg_match('/^seats=(\d{1,2}(?:,\d{1,2})*)$/D', $word, $found)) {
                $seats = array_map(intval(...), explode(',', $found[1]));
            } elseif (str_starts_with($word, 'role=')) {
                $role = rawurldecode(substr($word, 5));
            }
        }

        return new SlotPart(
            $seats,
            mb_check_encoding($role, 'UTF-8') ? $role : '',
            \in_array('private', $words, true),
        );
    }

    /**
     * @param list<string> $inside
     */
    private static function withVariant(Block $block, string $variant, array $inside): Block
    {
        $text = $passage = [];
        foreach ($inside as $row) {
            if (BlockKind::MarkUp === $block->kind && str_starts_with($row, '>')) {
                $passage[] = (string) preg_replace('/^> ?/', '', $row);
            } else {
                $text[] = self::unescaped($row);
            }
        }

        return new Block($block->id, $block->kind, $block->text, $block->settings, [
            ...$block->variants,
            new BlockVariant($variant, implode("\n", $text), implode("\n", $passage)),
        ]);
    }

    /**
     * @return list<string>
     */
    private static function block(Block $block): array
    {
        $settings = $block->settings;
        $words = [
            $block->kind->value,
            "#{$block->id}",
            ...'' === $settings->address ? [] : [$settings->address],
            ...'' === $settings->media ? [] : [$settings->media],
            ...array_keys(
                array_filter([
                    'alone' => $settings->alone,
                    'several' => $settings->several,
                    'growing' => $settings->growing,
                    'hidden' => !$settings->shown,
                    'private' => $settings->part->private,
                ]),
            ),
            ...[] === $settings->part->seats ? [] : ['seats='.implode(',', $settings->part->seats)],
            ...'' === $settings->part->role ? [] : ['role='.rawurlencode($settings->part->role)],
        ];
        $lines = ['::: '.implode(' ', $words), ...self::text($block->text)];
        foreach ($settings->heads as $head) {
            $lines[] = '+ '.self::flat($head->text)." {#{$head->id}}";
        }
        foreach ($settings->items as $item) {
            $lines[] =
                '- '.
                ('' === $item->under ? '' : "[#{$item->under}] ").
                self::flat($item->text).
                " {#{$item->id}}";
        }
        if ('' !== $settings->passage) {
            array_push(
                $lines,
                ...array_map(static fn (string $line): string => "> {$line}", explode("\n", $settings->passage)),
            );
        }
        $lines[] = ':::';
        foreach ($block->variants as $variant) {
            array_push($lines, "::: variant {$variant->variant}", ...self::text($variant->text));
            if ('' !== $variant->passage) {
                array_push(
                    $lines,
                    ...array_map(static fn (string $line): string => "> {$line}", explode("\n", $variant->passage)),
                );
            }
            $lines[] = ':::';
        }

        return $lines;
    }

    /**
     * Lines of a text; one that could be taken for something else has a backslash before it.
     *
     * @return list<string>
     */
    private static function text(string $text): array
    {
        return '' === $text
            ? []
            : array_map(
                static fn (string $line): string => 1 === preg_match('/^(\\\\|:::|===|[-+*] |>)|^$/', $line)
                    ? "\\{$line}"
                    : $line,
                explode("\n", $text),
            );
    }

    private static function unescaped(string $line): string
    {
        return str_starts_with($line, '\\') ? substr($line, 1) : $line;
    }

    private static function flat(string $text): string
    {
        return strtr($text, ['\\' => '\\\\', "\n" => '\\n', '{' => '\\{', '[' => '\\[', '#' => '\\#', "\t" => '\\t']);
    }

    private static function unflat(string $text): string
    {
        return (string) preg_replace_callback(
            '/\\\\(.)/u',
            static fn (array $sign): string => match ($sign[1]) {
                'n' => "\n",
                't' => "\t",
                default => $sign[1],
            },
            $text,
        );
    }

    private function id(string $kind): string
    {
        return $kind.'-'.++$this->made;
    }
}
