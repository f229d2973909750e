<?php

declare(strict_types=1);

namespace FreshHuddle\App\Meter;

/**
 * Counts and times what the processes of one machine do, in the memory they share (APCu). Where there is none (a
 * worker, a test), nothing is kept. What is counted has no names in it, of nobody.
 */
final readonly class Meters
{
    private const PREFIX = 'meter|';
    /** Upper edges of the buckets of times, in seconds. */
    public const EDGES = ['0.05', '0.1', '0.25', '0.5', '1', '2.5', '5', '+Inf'];

    /**
     * @param string                $name   as in Prometheus: letters, digits, _
     * @param array<string, string> $labels with values of a small fixed set
     */
    public function count(string $name, array $labels = [], int $by = 1): void
    {
        if (\function_exists('apcu_enabled') && apcu_enabled()) {
            apcu_inc(self::PREFIX.$name.self::labels($labels), $by);
        }
    }

    /**
     * @param array<string, string> $labels
     * @param float                 $seconds not below 0
     */
    public function time(string $name, float $seconds, array $labels = []): void
    {
        $this->count($name.'_count', $labels);
        $this->count($name.'_microseconds', $labels, (int) round(1e6 * max(0.0, $seconds)));
        foreach (self::EDGES as $edge) {
            if ('+Inf' === $edge || $seconds <= (float) $edge) {
                $this->count($name.'_bucket', $labels + ['le' => $edge]);
            }
        }
    }

    /**
     * @return array<string, int> by name and labels, in order
     */
    public function all(): array
    {
        $all = [];
        if (\function_exists('apcu_enabled') && apcu_enabled()) {
            foreach (new \APCUIterator('/^'.preg_quote(self::PREFIX, '/').'/') as $entry) {
                if (\is_array($entry) && \is_string($entry['key'] ?? null) && \is_int($entry['value'] ?? null)) {
                    $all[substr($entry['key'], \strlen(self::PREFIX))] = $entry['value'];
                }
            }
        }
        ksort($all);

        return $all;
    }

    /**
     * @param array<string, string> $labels
     */
    private static function labels(array $labels): string
    {
        $parts = [];
        foreach ($labels as $name => $value) {
            $parts[] = $name.'="'.addcslashes($value, "\\\"\n").'"';
        }

        return [] === $parts ? '' : '{'.implode(',', $parts).'}';
    }
}
