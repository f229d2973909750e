<?php

declare(strict_types=1);

namespace FreshHuddle\App\Words;

/**
 * In which direction a person reads: by the language the class list says they have, else by what is written.
 */
enum Direction: string
{
    case LeftToRight = 'ltr';
    case RightToLeft = 'rtl';

    /** ISO 639 codes of languages written from right to left (CLDR, script metadata). */
    private const FROM_RIGHT = [
        'ar',
        'arc',
        'arz',
        'azb',
        'bal',
        'bgn',
        'bqi',
        'ckb',
        'dv',
        'fa',
        'glk',
        'he',
        'iw',
        'khw',
        'ks',
        'lrc',
        'mzn',
        'nqo',
        'pnb',
        'prs',
        'ps',
        'sd',
        'sdh',
        'skr',
        'syr',
        'ug',
        'ur',
        'yi',
    ];

    /**
     * @param string $language a code as “ar-EG”, or a name in English or in the language itself; '' where it is not
     *                         said
     * @param string $text     what decides where the language does not: its first letter
     */
    public static function forLanguage(string $language, string $text = ''): self
    {
        if ('' !== trim($language)) {
            return self::isFromRight(trim($language)) ? self::RightToLeft : self::LeftToRight;
        }
        $isFromRight = 1 === preg_match('/^[^\p{L}]*[\p{Arabic}\p{Hebrew}\p{Syriac}\p{Thaana}\p{Nko}]/u', $text);

        return $isFromRight ? self::RightToLeft : self::LeftToRight;
    }

    private static function isFromRight(string $language): bool
    {
        $tag = mb_strtolower($language);
        foreach (self::FROM_RIGHT as $code) {
            foreach (
                [
                    $code,
                    mb_strtolower((string) \Locale::getDisplayLanguage($code, 'en')),
                    mb_strtolower((string) \Locale::getDisplayLanguage($code, $code)),
                ] as $name
            ) {
                if (1 === preg_match('/^'.preg_quote($name, '/').'(?:[-_ ]|$)/Du', $tag)) {
                    return true;
                }
            }
        }

        return false;
    }
}
