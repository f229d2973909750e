<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials\Slot;

use FreshHuddle\Core\Materials\Block;
use FreshHuddle\Core\Materials\BlockSettings;
use FreshHuddle\Core\Materials\Exception\UnusableValue;
use FreshHuddle\Core\Materials\Merge\ThingMerge;

/**
 * What slots have in common that hold what was done to each of several things: a JSON object, thing by thing. Two who
 * do something to different things both have done it.
 *
 * @phpstan-import-type Thing from ThingMerge
 */
abstract readonly class Things implements SlotKind
{
    /** @var list<string> the texts in a thing, which come together word by word; all else of it goes together */
    protected const TEXTS = [];

    public function isAlone(BlockSettings $settings): bool
    {
        return false;
    }

    public function isShown(BlockSettings $settings): bool
    {
        return true;
    }

    public function read(string $value, Block $block): string
    {
        if ('' === $value) {
            return '';
        }
        $things = json_decode($value, true, 4);
        if (!\is_array($things) || ([] !== $things && array_is_list($things))) {
            throw UnusableValue::wrong();
        }
        $read = [];
        foreach ($things as $id => $thing) {
            $read[$id] = $this->thing((string) $id, $thing, $block);
        }

        return self::written($read);
    }

    public function merge(string $base, string $theirs, string $mine): string
    {
        return match (true) {
            $theirs === $mine || $mine === $base => $theirs,
            $theirs === $base => $mine,
            default => self::written(
                (new ThingMerge(static::TEXTS))->merge(self::things($base), self::things($theirs), self::things($mine)),
            ),
        };
    }

    public function isFilled(string $value, Block $block): bool
    {
        return $this->share($value, $block) >= 1.0;
    }

    public function put(string $before, string $after): int
    {
        $was = self::things($before);

        return \count(
            array_filter(
                self::things($after),
                static fn (mixed $thing, int|string $id): bool => ($was[$id] ?? null) !== $thing,
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /**
     * What was done to one thing, as it is kept.
     *
     * @return Thing
     *
     * @throws UnusableValue
     */
    abstract protected function thing(string $id, mixed $thing, Block $block): array|bool|float|int|string;

    /**
     * @param string $value as read() gives it
     *
     * @return array<array-key, Thing> what was done, thing by thing; none where nothing was done
     */
    public static function things(string $value): array
    {
        /** @var array<array-key, Thing> only what read() has written comes here */
        return '' === $value ? [] : json_decode($value, true, 4, \JSON_THROW_ON_ERROR);
    }

    /**
     * @param list<string>         $known
     * @param array<string, mixed> $thing
     *
     * @throws UnusableValue if there is anything else in it
     */
    protected static function only(array $known, array $thing): void
    {
        if ([] !== array_diff(array_keys($thing), $known)) {
            throw UnusableValue::wrong();
        }
    }

    /**
     * @throws UnusableValue
     */
    protected static function text(mixed $text, int $most): string
    {
        return \is_string($text) && mb_strlen($text) <= $most ? $text : throw UnusableValue::wrong();
    }

    /**
     * Where something stands among others: any number, so that there is always room between two.
     *
     * @throws UnusableValue
     */
    protected static function place(mixed $place): float
    {
        return (\is_int($place) || \is_float($place)) && abs($place) < 1e9
            ? round((float) $place, 9)
            : throw UnusableValue::wrong();
    }

    /**
     * @throws UnusableValue
     */
    protected static function id(string $id): string
    {
        return 1 === preg_match(Block::ID, $id) ? $id : throw UnusableValue::wrong();
    }

    /**
     * @param array<array-key, Thing> $things
     */
    protected static function written(array $things): string
    {
        if ([] === $things) {
            return '';
        }
        ksort($things, \SORT_STRING);

        return json_encode(
            $things,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_FORCE_OBJECT,
        );
    }
}
