<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;

/**
 * Photos and drawings of the students' own, each with its place and what is written under it. Pages offer room for
 * twelve; several who put some in at once may come above that, and nothing is taken from them.
 */
final readonly class OwnPictures extends Things
{
    private const MOST = 60;
    private const LONGEST_CAPTION = 300;
    protected const TEXTS = ['caption'];

    public function lacks(Block $block): ?string
    {
        return $block->hasPrompt() ? null : 'materials.original.empty_slot';
    }

    /**
     * @throws UnusableValue also if there are more than a slot bears
     */
    public function read(string $value, Block $block): string
    {
        $read = parent::read($value, $block);

        return \count(self::things($read)) <= self::MOST ? $read : throw UnusableValue::tooLong();
    }

    public function share(string $value, Block $block): float
    {
        return '' === $value ? 0.0 : 1.0;
    }

    /**
     * @param string $value as `read` gives it
     *
     * @return list<string> ids of the pictures in it
     */
    public static function in(string $value): array
    {
        $pictures = [];
        foreach (self::things($value) as $thing) {
            if (\is_array($thing) && \is_string($thing['media'] ?? null)) {
                $pictures[] = $thing['media'];
            }
        }

        return array_values(array_unique($pictures));
    }

    /**
     * @param string       $value as `read` gives it
     * @param list<string> $media ids
     *
     * @return string the same without these pictures
     */
    public static function without(string $value, array $media): string
    {
        $things = json_decode($value, true, 4);

        return \is_array($things)
            ? self::written(
                array_filter(
                    self::things($value),
                    static fn (mixed $thing): bool => !\is_array($thing)
                        || !\in_array($thing['media'] ?? null, $media, true),
                ),
            )
            : $value;
    }

    protected function thing(string $id, mixed $thing, Block $block): array
    {
        if (!\is_array($thing)) {
            throw UnusableValue::wrong();
        }
        /** @var array<string, mixed> $thing */
        self::id($id);
        $media = $thing['media'] ?? null;
        if (!\is_string($media) || 1 !== preg_match(BlockSettings::MEDIA, $media)) {
            throw UnusableValue::wrong();
        }
        $read = ['media' => $media, 'place' => self::place($thing['place'] ?? null)];
        $caption = self::text($thing['caption'] ?? '', self::LONGEST_CAPTION);
        if ('' !== $caption) {
            $read['caption'] = $caption;
        }
        self::only(['media', 'place', 'caption'], $thing);
        ksort($read);

        return $read;
    }
}
