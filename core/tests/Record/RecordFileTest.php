<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Tests\Record;

use FreshHuddle\Core\Record\Exception\UnreadableRecord;
use FreshHuddle\Core\Record\Format\RecordFile;
use FreshHuddle\Core\Record\Format\RecordFormat;
use FreshHuddle\Core\Record\Recorder;
use PHPUnit\Framework\TestCase;

/**
 * A record's file, read again.
 */
final class RecordFileTest extends TestCase
{
    public function test_what_was_written_is_read_as_the_same(): void
    {
        $record = Recorder::record(RecorderTest::facts());
        [$corrections, $rule] = PointsTest::anyRule($record);
        $file = RecordFile::read(
            json_decode(
                json_encode(
                    RecordFormat::write($record, 'The wall', '9G', $corrections, $rule),
                    \JSON_THROW_ON_ERROR,
                ),
                true,
                64,
                \JSON_THROW_ON_ERROR,
            ),
        );
        self::assertEquals($record->facts, $file->facts);
        self::assertEquals($corrections->all, $file->corrections);
        self::assertEquals($rule, $file->rule);
        self::assertSame('The wall', $file->title);
    }

    public function test_what_cannot_be_is_refused_with_its_place(): void
    {
        $place = static function (\Closure $change): string {
            $data = RecordFormat::write(
                Recorder::record(RecorderTest::facts()),
                'The wall',
                '9G',
                ...PointsTest::anyRule(Recorder::record(RecorderTest::facts())),
            );
            $data = json_decode(json_encode($data, \JSON_THROW_ON_ERROR), true, 64, \JSON_THROW_ON_ERROR);
            try {
                RecordFile::read($change($data));
            } catch (UnreadableRecord $e) {
                return \is_string($e->says->values['where']) ? $e->says->values['where'] : '';
            }

            return 'read';
        };
        $with = static fn (array $change): \Closure => static fn (mixed $data): array => array_replace_recursive(
            \is_array($data) ? $data : [],
            $change,
        );
        self::assertSame('read', $place($with([])));
        self::assertSame('', $place(static fn (): array => []));
        self::assertSame('format', $place($with(['version' => 2])));
        self::assertSame('endedAt', $place($with(['endedAt' => -1])));
        self::assertSame('facts.runs[0].seats[1].to', $place($with(['facts' => ['runs' => [['seats' => [1 => ['to' => 5]]]]]])));
        self::assertSame('facts.signs[0].place', $place($with(['facts' => ['signs' => [['place' => 'moon']]]])));
        self::assertSame('facts.writing[0].put', $place($with(['facts' => ['writing' => [['put' => '3']]]])));
        self::assertSame('facts.students', $place($with(['facts' => ['students' => 'all']])));
    }
}
