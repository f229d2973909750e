<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Demo;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Demo\Larkmouth;
use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * The demo data is whole.
 */
final class LarkmouthTest extends AppTestCase
{
    public function test_larkmouth_has_its_three_classes_and_six_districts(): void
    {
        $this->service(Larkmouth::class)->load();
        $ines = $this->service(EntityManagerInterface::class)
            ->getRepository(Teacher::class)
            ->findOneBy(['email' => 'teacher@larkmouth.example']);
        self::assertNotNull($ines);
        $this->signIn($ines);
        $this->asTeacher($ines);
        $classes = $this->ask('GET', '/api/staff/classes');
        self::assertSame(
            [28, 17, 120],
            [$classes->int('0.students'), $classes->int('1.students'), $classes->int('2.students')],
        );
        $lessons = $this->ask('GET', '/api/staff/lessons');
        self::assertSame(
            [120, 17, 28],
            array_map(
                fn (int $i): int => \count(
                    $this->ask('GET', '/api/staff/lessons/'.$lessons->text("{$i}.id"))->list('students'),
                ),
                [0, 1, 2],
            ),
            'the latest first',
        );
        $lesson = $this->ask('GET', '/api/staff/lessons/'.$lessons->text('2.id'));
        self::assertSame(
            ['Quayside', 'Millbrook', 'Saltmarsh', 'Station End', 'Orchard Hill', 'Upper Lark'],
            array_map(static fn (int $i): string => $lesson->text("floor.groups.{$i}.name"), range(0, 5)),
        );
        $original = $this->ask('GET', '/api/staff/originals/'.$lesson->text('handOut.0.original'));
        self::assertSame(
            [2, 6, 6, null],
            [
                \count($original->list('pages')),
                \count($original->list('variants')),
                \count($lesson->list('handOut.0.cells')),
                $original->at('unfinished'),
            ],
        );
    }
}
