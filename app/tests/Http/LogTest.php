<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use FreshHuddle\App\Http\LogLine;
use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * What stands in the log: what broke on our side, and nobody's name.
 */
final class LogTest extends AppTestCase
{
    public function test_what_went_wrong_on_the_callers_side_is_nothing_for_the_log(): void
    {
        $before = $this->log();
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => "Ada Lund\nBen Oduya"]);
        $this->ask('GET', '/api/staff/nothing')->is(404);
        $this->ask('GET', '/api/staff/classes/00000000-0000-4000-8000-000000000000')->is(404);
        $this->ask('PATCH', '/api/staff/students/'.$class->text('students.0.id'), ['name' => 'Ben Oduya'])->is(422);
        $this->ask('POST', '/api/staff/classes/'.$class->text('id').'/lessons', [
            'title' => '',
            'minutes' => 50,
        ])->is(422);
        $grouping = $this->ask('POST', '/api/staff/classes/'.$class->text('id').'/groupings', [
            'name' => 'G',
        ])->text('id');
        $this->ask('POST', "/api/staff/groupings/{$grouping}/edits", ['basedOn' => 7, 'kind' => 'addTable'])->is(409);
        $this->asNobody();
        $this->ask('GET', '/api/staff/me')->is(401);
        self::assertSame($before, $this->log());
    }

    public function test_a_databases_message_quotes_the_row_and_the_log_does_not(): void
    {
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => 'Zofia Krawczyk'])->text('id');
        try {
            $this->db()->transactional(
                fn (): int|string => $this->db()->executeStatement(
                    'INSERT INTO student (id, class_id, name, folded, position, absent)
                        SELECT gen_random_uuid(), class_id, name, folded, position, absent FROM student
                        WHERE class_id = ?',
                    [$class],
                ),
            );
            self::fail('It was taken twice.');
        } catch (UniqueConstraintViolationException $e) {
            self::assertStringContainsString('zofia krawczyk', $e->getMessage(), 'this is what must not be logged');
            $line = LogLine::forError($e);
            self::assertStringNotContainsStringIgnoringCase('zofia', $line);
            self::assertStringContainsString('23505', $line);
            self::assertStringContainsString('LogTest.php', $line);
        }
    }

    private function log(): string
    {
        $folder = self::getContainer()->getParameter('kernel.logs_dir');
        \assert(\is_string($folder));

        return is_file($folder.'/app.log') ? (string) file_get_contents($folder.'/app.log') : '';
    }
}
