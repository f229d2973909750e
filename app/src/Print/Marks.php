<?php

declare(strict_types=1);

namespace FreshHuddle\App\Print;

/**
 * Colour and sign of a group on paper: the same as on the screens (`web/src/ui/signs/marks.ts`), from the same file.
 */
final class Marks
{
    /** @var array{colours: list<string>, signs: list<array{name: string, path: string}>}|null */
    private static ?array $all = null;
    /** @var list<array{name: string, path: string}>|null */
    private static ?array $pictures = null;

    /**
     * @return string as #rrggbb
     */
    public static function colour(int $mark): string
    {
        $colours = self::all()['colours'];

        return $colours[$mark % \count($colours)];
    }

    /**
     * The group's colour thinned with white.
     *
     * @param float $share of the colour, 0 to 1
     */
    public static function tint(int $mark, float $share): string
    {
        $thinned = array_map(
            static fn (string $part): string => \sprintf('%02x', (int) round(255 - $share * (255 - hexdec($part)))),
            str_split(substr(self::colour($mark), 1), 2),
        );

        return '#'.implode('', $thinned);
    }

    /**
     * @return string the sign in its colour, as an address a page can hold (SVG on a square of 24)
     */
    public static function symbol(int $mark): string
    {
        $signs = self::all()['signs'];
        $path = $signs[($mark + intdiv($mark, \count($signs))) % \count($signs)]['path'];

        return 'data:image/svg+xml;base64,'.
            base64_encode(
                \sprintf(
                    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24"><path d="%s" fill="%s" fill-rule="evenodd"/></svg>',
                    $path,
                    self::colour($mark),
                ),
            );
    }

    /**
     * @return string the picture of a student who cannot read yet, as an address a page can hold
     *                (SVG on a square of 256)
     */
    public static function picture(int $number): string
    {
        if (null === self::$pictures) {
            /** @var array{pictures: list<array{name: string, path: string}>} $all */
            $all = json_decode(
                (string) file_get_contents(\dirname(__DIR__, 3).'/core/data/pictures.json'),
                true,
                8,
                \JSON_THROW_ON_ERROR,
            );
            self::$pictures = $all['pictures'];
        }
        $count = \count(self::$pictures);

        return 'data:image/svg+xml;base64,'.
            base64_encode(
                \sprintf(
                    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 256 256"><path d="%s" fill="%s"/></svg>',
                    self::$pictures[$number % $count]['path'],
                    self::colour($number + intdiv($number, $count)),
                ),
            );
    }

    /**
     * @return array{colours: list<string>, signs: list<array{name: string, path: string}>}
     */
    private static function all(): array
    {
        if (null === self::$all) {
            /** @var array{colours: list<string>, signs: list<array{name: string, path: string}>} $all */
            $all = json_decode(
                (string) file_get_contents(\dirname(__DIR__, 3).'/core/data/marks.json'),
                true,
                8,
                \JSON_THROW_ON_ERROR,
            );
            self::$all = $all;
        }

        return self::$all;
    }
}
