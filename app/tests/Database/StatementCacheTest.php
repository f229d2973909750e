<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Database;

use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * Prepared statements that are kept answer as new ones do.
 */
final class StatementCacheTest extends AppTestCase
{
    public function test_asking_again_does_not_disturb_somebody_who_still_reads(): void
    {
        $sql = 'SELECT n FROM generate_series(CAST(? AS int), CAST(? AS int)) AS n';
        $first = $this->db()->executeQuery($sql, [1, 3]);
        self::assertSame(1, $first->fetchOne());
        self::assertSame(
            [7, 8],
            $this->db()
                ->executeQuery($sql, [7, 8])
                ->fetchFirstColumn(),
        );
        self::assertSame([2, 3], $first->fetchFirstColumn());
    }

    public function test_the_database_plans_a_question_once(): void
    {
        $mark = 'kept'.bin2hex(random_bytes(4));
        for ($i = 0; $i < 3; ++$i) {
            self::assertSame($i, $this->db()->fetchOne("SELECT CAST(? AS int) AS {$mark}", [$i]));
        }
        self::assertSame(
            1,
            $this->db()->fetchOne('SELECT count(*) FROM pg_prepared_statements WHERE statement LIKE ?', [
                "%AS {$mark}",
            ]),
        );
    }

    public function test_no_more_are_kept_than_a_connection_bears(): void
    {
        for ($i = 0; $i < 350; ++$i) {
            $this->db()->fetchOne("SELECT CAST(? AS int) + {$i}", [1]);
        }
        self::assertLessThanOrEqual(301, $this->db()->fetchOne('SELECT count(*) FROM pg_prepared_statements'));
        self::assertSame(1, $this->db()->fetchOne('SELECT CAST(? AS int) + 0', [1]));
    }

    public function test_two_columns_of_one_name_are_two_columns(): void
    {
        self::assertSame([1, 2, 3], $this->db()->fetchNumeric('SELECT CAST(? AS int) AS n, 2 AS n, 3 AS m', [1]));
        self::assertSame(
            [[1, 2, 3]],
            $this->db()->fetchAllNumeric('SELECT CAST(? AS int) AS n, 2 AS n, 3 AS m', [1]),
        );
        self::assertNotEmpty(
            $this->db()->createSchemaManager()->introspectTableByUnquotedName('seat')->getColumns(),
            'as it is asked before every migration',
        );
    }

    public function test_what_changes_something_is_never_done_twice_to_tell_columns_apart(): void
    {
        $this->expectException(\LogicException::class);
        $this->db()->fetchNumeric(
            'INSERT INTO slot_save (id, at, digest) VALUES (gen_random_uuid(), ?, \'\') RETURNING at, at',
            [1],
        );
    }

    public function test_how_many_rows_were_changed_is_known(): void
    {
        self::assertSame(
            2,
            $this->db()->executeStatement(
                'INSERT INTO slot_save (id, at, digest) SELECT gen_random_uuid(), n, \'\'
                    FROM generate_series(1, CAST(? AS int)) AS n',
                [2],
            ),
        );
    }
}
