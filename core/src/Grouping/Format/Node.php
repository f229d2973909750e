<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Grouping\Format;

use FreshHuddle\Core\Grouping\Exception\UnusableProblem;

/**
 * A value of a JSON document with the path to it, read with what is wanted there.
 */
final readonly class Node
{
    public function __construct(private mixed $value, public string $path = '')
    {
    }

    public function isMissing(): bool
    {
        return null === $this->value;
    }

    /**
     * A member of an object; a missing one is null.
     */
    public function child(string $key): self
    {
        return new self($this->object()[$key] ?? null, '' === $this->path ? $key : $this->path.'.'.$key);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws UnusableProblem
     */
    public function object(): array
    {
        if (!$this->value instanceof \stdClass) {
            throw $this->wrong('has to be an object');
        }
        $members = [];
        foreach (get_object_vars($this->value) as $key => $value) {
            $members[(string) $key] = $value;
        }

        return $members;
    }

    /**
     * @return array<string, self> members that are there
     *
     * @throws UnusableProblem
     */
    public function members(): array
    {
        $members = [];
        foreach ($this->object() as $key => $value) {
            if (null !== $value) {
                $members[(string) $key] = $this->child((string) $key);
            }
        }

        return $members;
    }

    /**
     * @return list<self>
     *
     * @throws UnusableProblem
     */
    public function items(int $most, int $least = 0): array
    {
        if (!\is_array($this->value)) {
            throw $this->wrong('has to be a list');
        }
        $count = \count($this->value);
        if ($count > $most || $count < $least) {
            throw $this->wrong(
                $count > $most
                    ? \sprintf('holds %d; at most %d are allowed', $count, $most)
                    : \sprintf('holds %d; at least %d are needed', $count, $least),
            );
        }
        $items = [];
        foreach (array_values($this->value) as $i => $item) {
            $items[] = new self($item, $this->path.'['.$i.']');
        }

        return $items;
    }

    /**
     * @throws UnusableProblem
     */
    public function text(int $longest, bool $mayBeEmpty = false): string
    {
        if (!\is_string($this->value)) {
            throw $this->wrong(null === $this->value ? 'is missing' : 'has to be a text');
        }
        if (mb_strlen($this->value) > $longest) {
            throw $this->wrong(\sprintf('is longer than %d signs', $longest));
        }
        if (!$mayBeEmpty && '' === trim($this->value)) {
            throw $this->wrong('is empty');
        }

        return $this->value;
    }

    /**
     * @throws UnusableProblem
     */
    public function int(int $from, int $to, ?int $default = null): int
    {
        if (null === $this->value && null !== $default) {
            return $default;
        }
        $value =
            \is_float($this->value) && floor($this->value) === $this->value && abs($this->value) < 1e15
                ? (int) $this->value
                : $this->value;
        if (!\is_int($value)) {
            throw $this->wrong(null === $value ? 'is missing' : 'has to be a whole number');
        }
        if ($value < $from || $value > $to) {
            throw $this->wrong(\sprintf('is %d; it has to be from %d to %d', $value, $from, $to));
        }

        return $value;
    }

    /**
     * @throws UnusableProblem
     */
    public function number(float $from, float $to, float $default): float
    {
        if (null === $this->value) {
            return $default;
        }
        if (!\is_int($this->value) && !\is_float($this->value)) {
            throw $this->wrong('has to be a number');
        }
        $value = (float) $this->value;
        if (!is_finite($value) || $value < $from || $value > $to) {
            throw $this->wrong(
                \sprintf('is %s; it has to be from %s to %s', $this->value, number_format($from), number_format($to)),
            );
        }

        return $value;
    }

    /**
     * What an attribute may be; true and false are taken as the words.
     *
     * @throws UnusableProblem
     */
    public function attribute(int $longest): int|float|string
    {
        if (\is_bool($this->value)) {
            return $this->value ? 'true' : 'false';
        }
        if (\is_int($this->value) || \is_float($this->value)) {
            if (abs((float) $this->value) > 1e12) {
                throw $this->wrong('is beyond a million million');
            }

            return $this->value;
        }
        if (\is_string($this->value)) {
            return $this->text($longest, true);
        }
        throw $this->wrong('has to be a number or a text');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     * @param T|null          $default
     *
     * @return T
     *
     * @throws UnusableProblem
     */
    public function oneOf(string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        if (null === $this->value && null !== $default) {
            return $default;
        }
        $found = \is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if (null === $found) {
            $words = implode(
                ', ',
                array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()),
            );
            throw $this->wrong(\sprintf('%s; it has to be one of %s', $this->shown(), $words));
        }

        return $found;
    }

    public function wrong(string $what): UnusableProblem
    {
        return new UnusableProblem($this->path, $what);
    }

    /**
     * The value, short enough for a message.
     */
    public function shown(): string
    {
        return match (true) {
            null === $this->value => 'is missing',
            \is_string($this->value) => \sprintf(
                '"%s" is unknown',
                mb_strlen($this->value) > 40 ? mb_substr($this->value, 0, 40).'…' : $this->value,
            ),
            default => 'is no text',
        };
    }
}
