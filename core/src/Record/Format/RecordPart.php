<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Record\Format;

use FreshHuddle\Core\Record\Exception\UnreadableRecord;

/**
 * A part of a record's file, read with the types it must have. It knows where it stands.
 */
final readonly class RecordPart
{
    /** Moments: until the year 2286. Counts are smaller. */
    private const LARGEST = 9_999_999_999_999;
    private const LONGEST = 400;

    /**
     * @param array<array-key, mixed> $data
     */
    private function __construct(private array $data, private string $path)
    {
    }

    /**
     * @throws UnreadableRecord if it is no object
     */
    public static function whole(mixed $data): self
    {
        return \is_array($data) && !array_is_list($data) ? new self($data, '') : throw UnreadableRecord::at('');
    }

    public function is(string $field, int|string $value): bool
    {
        return ($this->data[$field] ?? null) === $value;
    }

    /**
     * @throws UnreadableRecord if it is no number from 0 to the year 2286
     */
    public function int(string $field, int $least = 0, int $most = self::LARGEST): int
    {
        $value = $this->data[$field] ?? null;

        return \is_int($value) && $value >= $least && $value <= $most ? $value : throw $this->wrong($field);
    }

    /**
     * @throws UnreadableRecord if it is no text of one line, or longer than 400 characters
     */
    public function text(string $field): string
    {
        $value = $this->data[$field] ?? null;

        return \is_string($value)
            && mb_strlen($value) <= self::LONGEST
            && 0 === preg_match('/[\x00-\x1F\x7F]/', $value)
                ? $value
                : throw $this->wrong($field);
    }

    /**
     * @throws UnreadableRecord
     */
    public function textOrNull(string $field): ?string
    {
        return null === ($this->data[$field] ?? null) ? null : $this->text($field);
    }

    /**
     * @throws UnreadableRecord
     */
    public function bool(string $field): bool
    {
        $value = $this->data[$field] ?? null;

        return \is_bool($value) ? $value : throw $this->wrong($field);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     *
     * @throws UnreadableRecord if it is none of its cases
     */
    public function case(string $field, string $enum): \BackedEnum
    {
        foreach ($enum::cases() as $case) {
            if ($case->value === ($this->data[$field] ?? null)) {
                return $case;
            }
        }
        throw $this->wrong($field);
    }

    /**
     * @throws UnreadableRecord
     */
    public function part(string $field): self
    {
        $value = $this->data[$field] ?? null;

        return \is_array($value) ? new self($value, $this->under($field)) : throw $this->wrong($field);
    }

    /**
     * @template T
     *
     * @param callable(self): T $read
     *
     * @return list<T>
     *
     * @throws UnreadableRecord if it is no list of objects, or a longer one
     */
    public function list(string $field, callable $read, int $most): array
    {
        $value = $this->data[$field] ?? null;
        if (!\is_array($value) || !array_is_list($value) || \count($value) > $most) {
            throw $this->wrong($field);
        }
        $list = [];
        foreach ($value as $i => $one) {
            $path = $this->under("{$field}[{$i}]");
            $list[] = $read(\is_array($one) ? new self($one, $path) : throw UnreadableRecord::at($path));
        }

        return $list;
    }

    public function has(string $field): bool
    {
        return isset($this->data[$field]);
    }

    public function wrong(string $field): UnreadableRecord
    {
        return UnreadableRecord::at($this->under($field));
    }

    private function under(string $field): string
    {
        return '' === $this->path ? $field : "{$this->path}.{$field}";
    }
}
