<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Architecture;

use FreshHuddle\App\Areas\AreaList;
use FreshHuddle\App\Tests\Support\AppTestCase;
use Symfony\Component\Finder\Finder;

/**
 * Dependencies point inward in SQL too: a query names tables of its own area and of earlier ones, and only the area
 * that owns a table writes it. What lies under all areas names no area's table.
 */
final class TableOwnersTest extends AppTestCase
{
    /**
     * It stands above all areas: it fills an empty database.
     */
    private const ABOVE_ALL = ['demo'];

    private const READS = '/\b(?:FROM|JOIN)\s+(?:ONLY\s+)?([a-z_]+)/';
    private const WRITES = '/\b(?:INSERT INTO|UPDATE|DELETE FROM)\s+([a-z_]+)/';
    private const WRITES_BY_METHOD = '/->(?:insert|update|delete)\(\s*\'([a-z_]+)\'/';

    public function test_a_query_names_tables_of_its_own_area_and_of_earlier_ones(): void
    {
        $owners = $this->owners();
        $order = array_flip(AreaList::names());
        $found = 0;
        foreach (self::code() as $file => [$area, $code]) {
            foreach (self::tables(self::READS, $code) as $table) {
                $owner = $owners[$table] ?? null;
                if (null === $owner || $owner === $area || \in_array($area, self::ABOVE_ALL, true)) {
                    continue;
                }
                ++$found;
                // What lies under all areas may be read by each of them.
                self::assertLessThan($order[$area] ?? -1, $order[$owner] ?? -2, "{$file} reads {$table}");
            }
        }
        self::assertGreaterThan(50, $found);
    }

    public function test_only_the_area_that_owns_a_table_writes_it(): void
    {
        $owners = $this->owners();
        $found = 0;
        foreach (self::code() as $file => [$area, $code]) {
            foreach ([self::WRITES, self::WRITES_BY_METHOD] as $pattern) {
                foreach (self::tables($pattern, $code) as $table) {
                    if (isset($owners[$table]) && !\in_array($area, self::ABOVE_ALL, true)) {
                        ++$found;
                        self::assertSame($owners[$table], $area, "{$file} writes {$table}");
                    }
                }
            }
        }
        self::assertGreaterThan(20, $found);
    }

    /**
     * @return array<string, string> table => the area of its entity
     */
    private function owners(): array
    {
        $owners = [];
        foreach ($this->em()->getMetadataFactory()->getAllMetadata() as $entity) {
            $owners[$entity->getTableName()] = strtolower(explode('\\', $entity->getName())[2]);
        }

        return $owners;
    }

    /**
     * @return iterable<string, array{string, string}> by file: its area, and its code
     */
    private static function code(): iterable
    {
        $root = \dirname(__DIR__, 2).'/src';
        foreach (Finder::create()->files()->in($root)->name('*.php')->sortByName() as $file) {
            yield $file->getRelativePathname() => [
                strtolower(explode('/', $file->getRelativePathname())[0]),
                $file->getContents(),
            ];
        }
    }

    /**
     * @return list<string>
     */
    private static function tables(string $pattern, string $code): array
    {
        preg_match_all($pattern, $code, $found);

        return $found[1];
    }
}
