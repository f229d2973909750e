<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

/**
 * A square code that a phone reads (QR, ISO/IEC 18004, error correction M).
 */
final class Code
{
    /** Around it, in modules, as the standard asks. */
    private const QUIET = 4;

    /**
     * @param string $text up to 2,331 bytes
     *
     * @return string a picture, as an address a page can hold
     *                (SVG, black; a row's dark modules side by side are one piece)
     */
    public static function forText(string $text): string
    {
        /** @var array{num_rows: int<1, max>, num_cols: int<1, max>, bcode: list<list<int|string>>} $code */
        $code = (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeArray();
        $path = '';
        foreach ($code['bcode'] as $y => $row) {
            $bits = implode(
                '',
                array_map(static fn (int|string $dark): string => 1 === (int) $dark ? '1' : '0', $row),
            );
            preg_match_all('/1+/', $bits, $pieces, \PREG_OFFSET_CAPTURE);
            foreach ($pieces[0] as [$piece, $x]) {
                $width = \strlen($piece);
                $path .= \sprintf('M%d %dh%dv1h-%dz', $x + self::QUIET, $y + self::QUIET, $width, $width);
            }
        }
        $size = max($code['num_rows'], $code['num_cols']) + 2 * self::QUIET;

        return 'data:image/svg+xml;base64,'.
            base64_encode(
                \sprintf(
                    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %1$d %1$d" width="%1$d" height="%1$d"><path d="%2$s" fill="#000"/></svg>',
                    $size,
                    $path,
                ),
            );
    }
}
