<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Materials\Cupboard\Markdown;
use FreshHuddle\App\Materials\Cupboard\PageView;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\Cupboard\StoredOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\Core\Materials\Exception\UnusableOriginal;
use FreshHuddle\Core\Materials\Format\MarkdownFile;
use FreshHuddle\Core\Materials\Original;

/**
 * An original as a file, out and in: JSON (docs/formats/original.schema.json) or Markdown (docs/formats/original.md).
 * What was exported comes in as the same original.
 */
final readonly class OriginalFile
{
    public const FORMAT = 'fresh-huddle/original';

    public function __construct(private Shape $shape)
    {
    }

    public function json(Original $original, StoredOriginal $master): string
    {
        return OpenFormat::write(self::FORMAT, [
            'title' => $original->title,
            'subject' => $master->subject,
            'year' => $master->year,
            'about' => $master->about,
            'variants' => $original->variants,
            'pages' => $original->pages,
        ]);
    }

    public function markdown(Original $original, StoredOriginal $master): string
    {
        return MarkdownFile::write($original, [
            'subject' => $master->subject,
            'year' => $master->year,
            'about' => $master->about,
        ]);
    }

    /**
     * @throws MaterialsRefused if it cannot be read, with where
     */
    public function read(ImportOriginal $file): SaveOriginal
    {
        $name = trim((string) preg_replace('/\.[a-z]{1,8}$/i', '', $file->name));
        $untitled = mb_substr('' === $name ? '?' : $name, 0, Original::MAX_TITLE);
        try {
            return str_starts_with(ltrim($file->text), '{')
                ? $this->fromJson($file->text)
                : $this->fromMarkdown($file->text, $untitled);
        } catch (UnusableOriginal $e) {
            throw MaterialsRefused::because($e->says, 'text');
        }
    }

    private function fromMarkdown(string $text, string $untitled): SaveOriginal
    {
        ['original' => $original, 'found' => $found] = (new MarkdownFile())->read($text, $untitled);

        return new SaveOriginal(
            $original->title,
            0,
            array_map(PageView::fromPage(...), $original->pages),
            $original->variants,
            mb_substr($found['subject'], 0, 80),
            mb_substr($found['year'], 0, 40),
            mb_substr($found['about'], 0, 300),
        );
    }

    private function fromJson(string $text): SaveOriginal
    {
        $data = OpenFormat::read(self::FORMAT, $text, 32)
            ?? throw MaterialsRefused::unusable('materials.file_of_another_kind', 'text');
        try {
            return $this->shape->read(SaveOriginal::class, $data + ['basedOn' => 0], '');
        } catch (Problem $e) {
            throw MaterialsRefused::unusable('materials.file_unreadable', 'text', ['where' => $e->field ?? '']);
        }
    }
}
