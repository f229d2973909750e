<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials;

use FreshHuddle\App\Materials\Job\Jobs;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Worker\Task;
use Smalot\PdfParser\Parser;

/**
 * What takes too long for a request is done by the worker, bit by bit, and says how far it is.
 */
final class JobTest extends AppTestCase
{
    public function test_slips_of_a_large_class_are_made_bit_by_bit_and_all_of_them_are_there(): void
    {
        $lesson = $this->newLesson(170);
        $round = $lesson->text('round.id');
        $this->ask('GET', "/api/staff/rounds/{$round}/paper/slips.pdf")->is(422);
        $job = $this->ask('POST', "/api/staff/rounds/{$round}/paper/slips")->is(200);
        self::assertSame(
            ['working', 0, 3, null],
            [$job->at('state'), $job->at('done'), $job->at('total'), $job->at('file')],
        );
        self::assertSame(
            $job->text('id'),
            $this->ask('POST', "/api/staff/rounds/{$round}/paper/slips")->text('id'),
            'two presses, one job',
        );
        $this->step($job);
        self::assertSame(['working', 1], [$this->look($job)->at('state'), $this->look($job)->at('done')]);
        $this->ask('GET', "/api/staff/jobs/{$job->text('id')}/file")->is(404);
        $this->work();
        $done = $this->look($job);
        self::assertSame(['done', 3], [$done->at('state'), $done->at('done')]);
        $this->ask('GET', $done->text('file'));
        $pdf = (new Parser())->parseContent((string) $this->client->getResponse()->getContent());
        self::assertCount(22, $pdf->getPages(), 'eight to a page');
        foreach (['Student A', 'Student 100', 'Student 170'] as $name) {
            self::assertStringContainsString($name, $pdf->getText());
        }
        $this->asTeacher($this->newTeacher('otto@larkmouth.example'));
        $this->ask('GET', "/api/staff/jobs/{$job->text('id')}")->is(404);
        $this->ask('GET', $done->text('file'))->is(404);
    }

    public function test_an_archive_with_many_pictures_is_brought_in_bit_by_bit(): void
    {
        [$archive, $pictures] = self::archive(9);
        $job = $this->ask('POST', '/api/staff/originals/import', [
            'name' => 'tides.zip',
            'package' => base64_encode($archive),
        ])->is(200);
        self::assertNull($job->at('original'));
        self::assertSame(3, $job->int('job.total'));
        $this->work();
        $done = $this->ask('GET', '/api/staff/jobs/'.$job->text('job.id'))->is(200);
        self::assertSame('done', $done->text('state'));
        $original = $this->ask('GET', '/api/staff/originals/'.$done->text('original'))->is(200);
        $media = array_map(
            static fn (mixed $block): mixed => \is_array($block) && \is_array($block['settings'])
                ? $block['settings']['media']
                : null,
            $original->list('pages.0.blocks'),
        );
        $media = array_values(array_filter($media, \is_string(...)));
        self::assertCount(9, array_unique($media));
        self::assertSame([], array_intersect($media, $pictures), 'by ids of their own');
        $this->ask('GET', '/api/staff/media/'.$original->text('pages.0.blocks.8.settings.media'))->is(200);
    }

    public function test_a_worker_that_dies_in_the_middle_doubles_nothing(): void
    {
        [$archive] = self::archive(9);
        $job = $this->ask('POST', '/api/staff/originals/import', [
            'name' => 'tides.zip',
            'package' => base64_encode($archive),
        ])
            ->is(200)
            ->text('job.id');
        $this->service(Jobs::class)->handle(new Task(1, Jobs::STEP, $job, [], 1, 0));
        // it was done, and nobody heard of it
        $this->db()->executeStatement("UPDATE job SET done = 0 WHERE id = '{$job}'");
        $this->em()->clear();
        $this->work();
        self::assertSame(9, $this->db()->fetchOne('SELECT count(*) FROM media'));
        self::assertSame(1, $this->db()->fetchOne('SELECT count(*) FROM original'));
    }

    public function test_a_picture_that_cannot_be_kept_stops_it_and_says_why(): void
    {
        [$archive] = self::archive(6, 'no picture at all');
        $job = $this->ask('POST', '/api/staff/originals/import', [
            'name' => 'tides.zip',
            'package' => base64_encode($archive),
        ])
            ->is(200)
            ->text('job.id');
        $this->work();
        $failed = $this->ask('GET', "/api/staff/jobs/{$job}")->is(200);
        self::assertSame('failed', $failed->text('state'));
        self::assertNotSame('', $failed->text('failure'));
        self::assertSame(0, $this->db()->fetchOne('SELECT count(*) FROM original'));
    }

    public function test_after_a_day_it_is_gone_with_its_files(): void
    {
        $job = $this->ask('POST', '/api/staff/rounds/'.$this->newLesson(2)->text('round.id').'/paper/slips')->is(
            200,
        );
        $this->work();
        $key = $this->db()->fetchOne('SELECT result FROM job');
        self::assertIsString($key);
        self::assertNotSame('', $this->service(FileStore::class)->get($key));
        $this->db()->executeStatement('UPDATE job SET made_at = made_at - 90000000');
        $this->em()->clear();
        $this->service(Jobs::class)->forgetOld();
        $this->ask('GET', '/api/staff/jobs/'.$job->text('id'))->is(404);
        $this->expectException(\FreshHuddle\App\Materials\Media\Store\FileAway::class);
        $this->service(FileStore::class)->get($key);
    }

    private function step(Json $job): void
    {
        $this->service(Jobs::class)->handle(new Task(1, Jobs::STEP, $job->text('id'), [], 1, 0));
    }

    private function look(Json $job): Json
    {
        return $this->ask('GET', '/api/staff/jobs/'.$job->text('id'))->is(200);
    }

    /**
     * @return array{string, list<string>} a zip archive of an original with so many pictures, and their ids
     */
    private static function archive(int $pictures, ?string $last = null): array
    {
        $blocks = $files = $ids = [];
        for ($i = 1; $i <= $pictures; ++$i) {
            $ids[] = $id = \sprintf('01a00000-0000-7000-8000-%012d', $i);
            $blocks[] = [
                'id' => "b{$i}",
                'kind' => 'picture',
                'text' => "Picture {$i}",
                'settings' => ['media' => $id],
            ];
            $files["media/{$id}.png"] =
                $i === $pictures && null !== $last ? $last : Files::picture('png', 20 + $i, 20);
        }
        $files['original.json'] = json_encode(
            [
                'format' => 'fresh-huddle/original',
                'version' => 1,
                'title' => 'Tides',
                'pages' => [['id' => 'p', 'title' => '', 'blocks' => $blocks]],
            ],
            \JSON_THROW_ON_ERROR,
        );

        return [Files::zip($files), $ids];
    }
}
