<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

use Dompdf\Dompdf;
use Dompdf\Options;
use FontLib\Font;
use setasign\Fpdi\PdfParser\StreamReader;
use setasign\Fpdi\Tcpdf\Fpdi;

/**
 * Pages for the printer, in the product's own type. A text with signs our type does not have is set in one that has
 * more.
 */
final class Paper
{
    private const TYPE = [
        'text' => 'AtkinsonHyperlegibleNext_400Regular',
        'bold' => 'AtkinsonHyperlegibleNext_700Bold',
        'head' => 'Besley_600SemiBold',
    ];
    private const WIDE = 'DejaVu Sans';

    /** @var array<string, array<int, int>> the signs a font has, by font */
    private array $signs = [];

    public function __construct(private readonly string $cacheDir)
    {
    }

    /**
     * @param string $style  CSS; `{text}`, `{bold}` and `{head}` stand for our fonts
     * @param string $body   HTML
     * @param bool   $across A4 lies across
     *
     * @return string a PDF
     */
    public function pdf(string $style, string $body, bool $across = true): string
    {
        $cache = $this->cacheDir.'/print';
        if (!is_dir($cache)) {
            mkdir($cache, 0o777, true);
        }
        $faces = '';
        foreach (self::TYPE as $name => $file) {
            $faces .= \sprintf(
                '@font-face { font-family: "fh-%s"; src: url("%s") format("truetype"); } ',
                $name,
                self::file($file),
            );
        }
        $fonts = [
            '{text}' => '"fh-text"',
            '{bold}' => '"fh-bold"',
            '{head}' => '"fh-head"',
            '{wide}' => '"'.self::WIDE.'"',
        ];
        $pdf = new Dompdf(
            new Options([
                'isRemoteEnabled' => false,
                'isPhpEnabled' => false,
                'defaultFont' => self::WIDE,
                'tempDir' => sys_get_temp_dir(),
                'fontDir' => $cache,
                'fontCache' => $cache,
                'chroot' => [\dirname(self::file('')), \dirname(__DIR__, 3).'/vendor/dompdf/dompdf'],
            ]),
        );
        $pdf->setPaper('A4', $across ? 'landscape' : 'portrait');
        $pdf->loadHtml(
            '<!doctype html><meta charset="utf-8"><style>'.$faces.strtr($style, $fonts).'</style>'.$body,
            'UTF-8',
        );
        $pdf->render();

        return (string) $pdf->output();
    }

    /**
     * Several PDFs as one, in this order.
     *
     * @param list<string> $parts  PDFs as `pdf` makes them
     * @param bool         $across A4 lies across
     */
    public function together(array $parts, bool $across = false): string
    {
        $whole = new Fpdi('P', 'mm', 'A4');
        $whole->setPrintHeader(false);
        $whole->setPrintFooter(false);
        foreach ($parts as $part) {
            $pages = $whole->setSourceFile(StreamReader::createByString($part));
            for ($page = 1; $page <= $pages; ++$page) {
                $template = $whole->importPage($page);
                $whole->AddPage($across ? 'L' : 'P', 'A4');
                $whole->useTemplate($template);
            }
        }

        return $whole->Output('', 'S');
    }

    /**
     * A text as HTML, in the type that has its signs.
     *
     * @param 'text'|'bold'|'head' $type
     */
    public function set(string $text, string $type = 'text'): string
    {
        $html = htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');

        return \sprintf(
            '<span style="font-family: %s">%s</span>',
            $this->has($text, self::TYPE[$type]) ? "'fh-{$type}'" : "'".self::WIDE."'",
            $html,
        );
    }

    private function has(string $text, string $font): bool
    {
        $signs = $this->signs[$font] ??= $this->read($font);
        $normal = \Normalizer::normalize($text);
        foreach (mb_str_split(\is_string($normal) ? $normal : $text) as $sign) {
            if (!isset($signs[mb_ord($sign)])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return array<int, int>
     */
    private function read(string $font): array
    {
        $file = Font::load(self::file($font));
        if (null === $file) {
            return [];
        }
        $file->parse();
        /** @var array<int, int>|null $map sign => glyph */
        $map = $file->getUnicodeCharMap();
        $file->close();

        return $map ?? [];
    }

    private static function file(string $font): string
    {
        return \dirname(__DIR__, 2).'/fonts/'.$font.'.ttf';
    }
}
