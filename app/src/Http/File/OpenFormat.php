<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

use FreshHuddle\App\Http\Body\Json;
use FreshHuddle\App\Http\Body\TooManyFields;

/**
 * JSON files of ours (docs/formats): each names its format and its version first.
 */
final readonly class OpenFormat
{
    private const VERSION = 1;

    /**
     * @param string                  $format fresh-huddle/lesson, for example
     * @param array<array-key, mixed> $fields
     */
    public static function write(string $format, array $fields): string
    {
        return json_encode(
            ['format' => $format, 'version' => self::VERSION] + $fields,
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /**
     * @param string      $text  any bytes
     * @param int<1, max> $depth how deep it may be nested
     *
     * @return array<array-key, mixed>|null its fields but for format and version; null if it is no file of this format
     */
    public static function read(string $format, string $text, int $depth): ?array
    {
        try {
            $data = Json::decode(mb_scrub($text), $depth);
        } catch (\JsonException|TooManyFields) {
            return null;
        }
        if (!\is_array($data) || $format !== ($data['format'] ?? null) || self::VERSION !== ($data['version'] ?? null)) {
            return null;
        }
        unset($data['format'], $data['version']);

        return $data;
    }
}
