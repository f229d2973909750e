<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster;

use FreshHuddle\Core\Roster\Exception\UnusableName;

/**
 * The name a student stands under on the class list: as the teacher wrote it, without stray spaces and control signs.
 */
final readonly class StudentName implements \Stringable
{
    public const MAX_LENGTH = 120;

    private function __construct(public string $value)
    {
    }

    /**
     * @throws UnusableName if nothing readable is left, if it is longer than 120 signs, or if it is not UTF-8
     */
    public static function fromText(string $raw): self
    {
        $value = self::tidy($raw);
        if ('' === $value) {
            throw UnusableName::empty();
        }
        if (mb_strlen($value) > self::MAX_LENGTH) {
            throw UnusableName::tooLong($value, self::MAX_LENGTH);
        }

        return new self($value);
    }

    /**
     * The form two names are compared in: case, compatibility forms and runs of space do not count; accents do.
     */
    public function folded(): string
    {
        return mb_convert_case(self::normal($this->value, \Normalizer::FORM_KC), \MB_CASE_FOLD);
    }

    public function __toString(): string
    {
        return $this->value;
    }

    /**
     * Without control signs, direction overrides and byte order marks; inner runs of space become one space.
     * Zero-width joiners stay: some scripts need them.
     *
     * @throws UnusableName if it is not UTF-8
     */
    private static function tidy(string $raw): string
    {
        if (!mb_check_encoding($raw, 'UTF-8')) {
            throw UnusableName::notText();
        }
        $value = (string) preg_replace(
            '/[\x{FEFF}\x{200B}\x{2060}\x{202A}-\x{202E}\x{2066}-\x{2069}]|(?![\t\n\r])\p{Cc}/u',
            '',
            self::normal($raw, \Normalizer::FORM_C),
        );
        $value = (string) preg_replace('/[\s\p{Z}]+/u', ' ', $value);

        // By signs and not by bytes: č, 龍 and 😀 end in bytes that stand in a joiner too.
        return (string) preg_replace('/^[ \x{200C}\x{200D}]+|[ \x{200C}\x{200D}]+$/Du', '', $value);
    }

    private static function normal(string $text, int $form): string
    {
        $normal = \Normalizer::normalize($text, $form);

        return \is_string($normal) ? $normal : $text;
    }
}
