<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials\Media;

use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use FreshHuddle\App\Tests\Formats\Schema;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\Files;
use FreshHuddle\App\Tests\Support\Json;
use FreshHuddle\App\Worker\PurgeTaskHandler;
use FreshHuddle\App\Worker\Task;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/**
 * Pictures and recordings on sheets: who sees and hears them, and who does not.
 */
final class MediaTest extends AppTestCase
{
    private Json $lesson;
    private string $picture;
    private string $sound;
    private string $ada;
    private string $ben;
    private string $out;

    protected function setUp(): void
    {
        parent::setUp();
        $this->picture = $this->put(Files::picture())->is(200)->text('id');
        $this->sound = $this->put(Files::mp3(3))->is(200)->text('id');
        $lesson = $this->newLesson(6);
        $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 3,
            'seed' => 1,
        ]);
        $this->ask(
            'POST',
            '/api/staff/rounds/'.$lesson->text('round.id').'/originals',
            $this->sheet($this->picture, $this->sound),
        )->is(200);
        $this->ask('POST', '/api/staff/rounds/'.$lesson->text('round.id').'/copies')->is(200);
        $this->setRound($lesson->text('id'), ['lookSeconds' => 0]);
        $this->command($lesson->text('id'), 'sendOut')->is(200);
        $this->lesson = $this->ask('GET', '/api/staff/lessons/'.$lesson->text('id'));
        $this->ada = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.0'));
        $this->ben = $this->join($this->lesson, $this->lesson->text('floor.groups.0.students.1'));
        $this->out = $this->join($this->lesson, $this->lesson->text('floor.groups.1.students.0'));
    }

    public function test_members_see_and_hear_what_stands_on_their_sheet_and_nobody_else_does(): void
    {
        $copy = $this->copyOf($this->ada);
        foreach ([$this->picture => 'image/png', $this->sound => 'audio/mpeg'] as $media => $type) {
            $this->asStudent($this->ben);
            $this->ask('GET', "/api/student/copies/{$copy}/media/{$media}")->is(200);
            $headers = $this->client->getResponse()->headers;
            self::assertSame(
                [$type, 'nosniff', "default-src 'none'; sandbox"],
                [
                    $headers->get('Content-Type'),
                    $headers->get('X-Content-Type-Options'),
                    $headers->get('Content-Security-Policy'),
                ],
            );
            self::assertStringContainsString('private', (string) $headers->get('Cache-Control'));
            $this->asStudent($this->out);
            $this->ask('GET', "/api/student/copies/{$copy}/media/{$media}")->is(404);
            $this->asNobody();
            $this->ask('GET', "/api/student/copies/{$copy}/media/{$media}")->is(401);
        }
        $this->asTeacher();
        $other = $this->put(Files::picture('jpeg'))->text('id');
        $this->asStudent($this->ada);
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$other}")->is(404);
        $this->ask('GET', "/api/staff/media/{$this->picture}")->is(401);
    }

    public function test_a_teacher_sees_their_own_and_what_stands_in_classes_they_help_in(): void
    {
        $unused = $this->put(Files::picture('webp'))->text('id');
        $this->ask('GET', "/api/staff/media/{$unused}")->is(200);
        $this->asTeacher($helper = $this->newTeacher('otto@larkmouth.example'));
        foreach ([$this->picture, $this->sound, $unused] as $media) {
            $this->ask('GET', "/api/staff/media/{$media}")->is(404);
        }
        $this->db()->insert('class_staff', [
            'class_id' => $this->lesson->text('classId'),
            'teacher_id' => $helper->id,
            'role' => 'assistant',
        ]);
        $this->ask('GET', "/api/staff/media/{$this->picture}")->is(200);
        $this->ask('GET', "/api/staff/media/{$this->sound}")->is(200);
        $this->ask('GET', "/api/staff/media/{$unused}")->is(404);
    }

    public function test_what_is_not_open_to_a_teacher_stands_in_no_original_of_theirs(): void
    {
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $taken = $this->ask('POST', '/api/staff/originals', $this->sheet($this->picture, $this->sound))->is(200);
        self::assertSame(
            ['', ''],
            [$taken->text('pages.0.blocks.0.settings.media'), $taken->text('pages.0.blocks.1.settings.media')],
        );
        $this->ask('GET', "/api/staff/media/{$this->picture}")->is(404);
    }

    public function test_an_id_in_a_text_opens_nothing(): void
    {
        $this->asTeacher($other = $this->newTeacher('otto@larkmouth.example'));
        $class = $this->newLesson(2, '9O');
        $this->ask('POST', '/api/staff/groupings/'.$class->text('floor.id').'/deal', [
            'basedOn' => 0,
            'groups' => 1,
            'seed' => 1,
        ])->is(200);
        $text = "![x]({$this->picture}) \"media\":\"{$this->picture}\" {$this->sound}";
        $original = $this->ask(
            'POST',
            '/api/staff/originals',
            self::original('Words', [['id' => 'read', 'kind' => 'text', 'text' => $text]]),
        )
            ->is(200)
            ->text('id');
        $this->ask(
            'POST',
            '/api/staff/rounds/'.$class->text('round.id').'/originals',
            self::original('Another', [['id' => 'read', 'kind' => 'text', 'text' => $text]]),
        )->is(200);
        $this->ask('POST', '/api/staff/rounds/'.$class->text('round.id').'/copies')->is(200);
        $this->ask('GET', "/api/staff/media/{$this->picture}")->is(404);
        $this->ask('GET', "/api/staff/media/{$this->sound}")->is(404);
        $this->ask('POST', "/api/staff/originals/{$original}/copy", ['title' => 'Copy'])->is(200);
        $this->ask('GET', "/api/staff/media/{$this->picture}")->is(404);
        $copies = $this->db()->fetchFirstColumn('SELECT w.id FROM work_copy w WHERE w.round_id = ?', [
            $class->text('round.id'),
        ]);
        self::assertNotSame([], $copies);
        $this->setRound($class->text('id'), ['lookSeconds' => 0]);
        $this->command($class->text('id'), 'sendOut')->is(200);
        $student = $this->join($class, $class->text('students.0.id'));
        $this->asStudent($student);
        \assert(\is_string($copies[0]));
        $this->ask('GET', "/api/student/copies/{$copies[0]}/media/{$this->picture}")->is(404);
    }

    public function test_a_teacher_keeps_no_more_than_there_is_room_for(): void
    {
        $this->db()->executeStatement('UPDATE media SET size = 1999999000 WHERE id = ?', [$this->picture]);
        self::assertSame('content', $this->put(Files::picture('jpeg', 600, 600))->is(422)->text('errors.0.field'));
        self::assertSame(
            $this->sound,
            $this->put(Files::mp3(3))->is(200)->text('id'),
            'what is kept already needs none',
        );
    }

    public function test_a_broken_recording_is_refused_in_words(): void
    {
        $webm =
            "\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01\x42\xF7\x81\x01\x42\xF2\x81\x04\x42\xF3\x81\x08\x42\x82\x84webm\x42\x87\x81\x04\x42\x85\x81\x02\x18\x53\x80\x67\x01\xFF\xFF\xFF\xFF\xFF\xFF\xFF";
        mt_srand(19);
        for ($i = 0; $i < 40; ++$i) {
            $tail = '';
            for ($n = 0; $n < 60; ++$n) {
                $tail .= \chr(mt_rand(0, 255));
            }
            $status = $this->put(substr($webm.$tail, 0, 12 + 2 * $i))->status;
            self::assertContains($status, [200, 422]);
        }
    }

    public function test_the_same_is_kept_once(): void
    {
        self::assertSame($this->picture, $this->put(Files::picture())->text('id'));
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        self::assertNotSame(
            $this->picture,
            $this->put(Files::picture())->text('id'),
            'and another teacher has it as their own',
        );
    }

    public function test_a_picture_of_their_own_is_seen_by_the_group_and_by_the_teacher(): void
    {
        $copy = $this->copyOf($this->ada);
        $own = $this->putInto($this->ada, $copy, Files::picture('jpeg', 30, 30, Files::exif('where I live')))
            ->is(200)
            ->text('id');
        $this->save($this->ada, $copy, $own)->is(200);
        $this->asStudent($this->ben);
        self::assertStringContainsString($own, $this->ask('GET', "/api/student/copies/{$copy}")->raw);
        self::assertStringNotContainsString(
            'where I live',
            $this->ask('GET', "/api/student/copies/{$copy}/media/{$own}")->is(200)->raw,
        );
        $this->asStudent($this->out);
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$own}")->is(404);
        $this->asTeacher();
        $this->ask('GET', "/api/staff/media/{$own}")->is(200);
        $this->asTeacher($this->newTeacher('another@larkmouth.example'));
        $this->ask('GET', "/api/staff/media/{$own}")->is(404);
    }

    public function test_nobody_puts_another_groups_picture_into_their_sheet(): void
    {
        $theirs = $this->copyOf($this->out);
        $secret = $this->putInto($this->out, $theirs, Files::picture('png', 31, 30))->text('id');
        $copy = $this->copyOf($this->ada);
        $refused = $this->save($this->ada, $copy, $secret)->is(422);
        self::assertSame('text', $refused->text('errors.0.field'));
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$secret}")->is(404);
        $this->putInto($this->ada, $theirs, Files::picture())->is(404);
    }

    public function test_only_pictures_come_in_and_only_where_a_sheet_takes_them(): void
    {
        $copy = $this->copyOf($this->ada);
        self::assertSame('content', $this->putInto($this->ada, $copy, Files::mp3(1))->is(422)->text('errors.0.field'));
        self::assertSame(
            'content',
            $this->putInto($this->ada, $copy, '<svg onload="alert(1)"/>')->is(422)->text('errors.0.field'),
        );
        $this->asStudent($this->ada);
        self::assertSame(
            'content',
            $this->ask('POST', "/api/student/copies/{$copy}/media", ['content' => '%%% no base64'])
                ->is(422)
                ->text('errors.0.field'),
        );

        $this->asTeacher();
        $plain = $this->readyLesson(4, 1);
        $this->setRound($plain->text('id'), ['lookSeconds' => 0]);
        $this->command($plain->text('id'), 'sendOut')->is(200);
        $cora = $this->join($plain, $plain->text('floor.groups.0.students.0'));
        $this->putInto($cora, $this->copyOf($cora), Files::picture())->is(404);
    }

    public function test_one_device_does_not_draw_for_ever(): void
    {
        $copy = $this->copyOf($this->ada);
        $statuses = array_map(
            fn (int $i): int => $this->putInto($this->ada, $copy, Files::picture('png', 20 + $i, 20))->status,
            range(1, 14),
        );
        self::assertSame([200, 429], array_values(array_unique($statuses)));
        $this->putInto($this->ben, $copy, Files::picture('png', 60, 20))->is(200);
    }

    public function test_the_next_lesson_that_goes_on_has_the_pictures_too(): void
    {
        $copy = $this->copyOf($this->ada);
        $own = $this->putInto($this->ada, $copy, Files::picture('png', 30, 30))->text('id');
        $this->save($this->ada, $copy, $own)->is(200);
        $this->asTeacher();
        $next = $this->ask('POST', '/api/staff/classes/'.$this->lesson->text('classId').'/lessons', [
            'title' => 'The day after',
            'minutes' => 50,
            'from' => $this->lesson->text('id'),
        ])->is(200);
        self::assertSame([3, 1], [$next->int('handOut.0.missing'), $next->int('handOut.0.written')]);
        self::assertSame(
            3,
            $this->ask('POST', '/api/staff/rounds/'.$next->text('round.id').'/copies')
                ->is(200)
                ->int('made'),
        );
        $this->setRound($next->text('id'), ['lookSeconds' => 0]);
        $this->command($next->text('id'), 'sendOut', leaving: $this->lesson->text('id'))->is(200);
        $now = $this->copyOf($this->ada);
        self::assertNotSame($copy, $now);
        foreach ([$this->ada => 200, $this->ben => 200, $this->out => 404] as $who => $status) {
            $this->asStudent($who);
            $this->ask('GET', "/api/student/copies/{$now}/media/{$own}")->is($status);
        }
    }

    public function test_who_has_left_the_group_sees_its_pictures_no_more(): void
    {
        $copy = $this->copyOf($this->ada);
        $this->asTeacher();
        $this->ask('POST', '/api/staff/groupings/'.$this->lesson->text('floor.id').'/edits', [
            'kind' => 'seat',
            'student' => $this->lesson->text('floor.groups.0.students.0'),
            'group' => $this->lesson->text('floor.groups.1.id'),
            'basedOn' => $this->lesson->int('floor.step'),
        ])->is(200);
        $this->asStudent($this->ada);
        $this->ask('GET', "/api/student/copies/{$copy}/media/{$this->picture}")->is(404);
    }

    public function test_a_telephone_asks_for_a_part_before_it_plays(): void
    {
        $part = function (string $range): array {
            $raw = $this->ask('GET', "/api/staff/media/{$this->sound}", null, ['Range' => $range])->raw;

            return [
                $this->client->getResponse()->getStatusCode(),
                \strlen($raw),
                $this->client->getResponse()->headers->get('Content-Range'),
            ];
        };
        $size = \strlen(Files::mp3(3));
        self::assertSame([206, 2, "bytes 0-1/{$size}"], $part('bytes=0-1'));
        self::assertSame([206, $size - 100, 'bytes 100-'.($size - 1)."/{$size}"], $part('bytes=100-'));
        self::assertSame([206, 10, 'bytes '.($size - 10).'-'.($size - 1)."/{$size}"], $part('bytes=-10'));
        self::assertSame([416, 0, "bytes */{$size}"], $part("bytes={$size}-"));
        self::assertSame([200, $size, null], $part('lines=1-2'));
    }

    #[TestWith(['json']), TestWith(['md'])]
    public function test_an_original_goes_out_and_comes_in_with_its_pictures(string $format): void
    {
        $id = $this->lesson->text('handOut.0.original');
        $original = $this->ask('GET', "/api/staff/originals/{$id}");
        $archive = $this->ask('GET', "/api/staff/originals/{$id}/export/{$format}")->is(200)->raw;
        self::assertSame('application/zip', $this->client->getResponse()->headers->get('Content-Type'));
        $zip = Zip::open($archive, 1_000_000);
        self::assertEqualsCanonicalizing(
            ["original.{$format}", "media/{$this->picture}.png", "media/{$this->sound}.mp3"],
            $zip->names(),
        );
        if ('json' === $format) {
            self::assertTrue(Schema::allows('original', (string) $zip->file('original.json')));
        }
        $import = fn (): Json => $this->bringIn(['name' => 'sheet.zip', 'package' => base64_encode($archive)]);
        self::assertSame($original->at('pages'), $import()->at('pages'), 'at home it is the same picture');

        $this->asTeacher($this->newTeacher('far@larkmouth.example'));
        $there = $import();
        foreach ([0 => $this->picture, 1 => $this->sound] as $block => $media) {
            $now = $there->text("pages.0.blocks.{$block}.settings.media");
            self::assertNotSame('', $now);
            self::assertNotSame($media, $now, 'another teacher has it for themselves');
            $bytes = $this->ask('GET', "/api/staff/media/{$now}")->is(200)->raw;
            $this->ask('GET', "/api/staff/media/{$media}")->is(404);
            self::assertStringStartsWith(0 === $block ? "\x89PNG" : "\xFF\xFB", $bytes);
        }
        $text = (string) $zip->file("original.{$format}");
        self::assertSame(
            '',
            $this->bringIn(['name' => 'x', 'text' => $text])->text('pages.0.blocks.0.settings.media'),
            'without its bytes it comes in without',
        );
    }

    public function test_an_archive_that_is_none_brings_nothing(): void
    {
        $id = $this->lesson->text('handOut.0.original');
        $text = (string) Zip::open($this->ask('GET', "/api/staff/originals/{$id}/export/json")->raw, 1_000_000)->file(
            'original.json',
        );
        $picture = "media/{$this->picture}.png";
        $this->asTeacher($this->newTeacher('far@larkmouth.example'));
        $bring = fn (string $bytes): Json => $this->ask('POST', '/api/staff/originals/import', [
            'name' => 'x.zip',
            'package' => base64_encode($bytes),
        ])->is(422);
        $files = static fn (string $name = 'media/none.png', string $bytes = ''): string => Zip::fromFiles([
            'original.json' => $text,
            $name => $bytes,
        ]);
        self::assertSame('package', $bring('no archive')->text('errors.0.field'));
        self::assertSame('package', $bring(Zip::fromFiles(['readme.txt' => 'x']))->text('errors.0.field'));
        self::assertSame('package', $bring(substr($files(), 0, 60))->text('errors.0.field'));
        self::assertSame('package', $bring($files('bomb.bin', str_repeat("\0", 31_000_000)))->text('errors.0.field'));
        self::assertSame(
            'package',
            $bring(Zip::fromFiles(['original.md' => str_repeat("- a card\n", 200_000)]))->text('errors.0.field'),
        );
        $bring($files($picture, '<svg onload="alert(1)"/>'));
        $bring($files($picture, substr(Files::picture(), 0, 40)));
        $this->ask('POST', '/api/staff/originals/import', ['name' => 'x.zip', 'package' => '%%%'])->is(422);
        $this->ask('POST', '/api/staff/originals/import', ['name' => 'x.md'])->is(422);
        self::assertSame([], $this->ask('GET', '/api/staff/originals')->list(''));
        foreach (['../../etc/passwd', 'media/../x.png', "media/{$id}.png"] as $name) {
            $odd = $this->bringIn(['name' => 'x.zip', 'package' => base64_encode($files($name, 'not asked for'))]);
            self::assertSame('', $odd->text('pages.0.blocks.0.settings.media'), $name);
        }
    }

    public function test_what_the_students_of_a_class_put_in_has_a_limit_of_its_own(): void
    {
        $copy = $this->copyOf($this->ada);
        $this->putInto($this->ada, $copy, Files::picture('png', 31, 30))->is(200);
        $this->db()->executeStatement(
            'UPDATE media SET size = 500000000 WHERE id IN (SELECT media_id FROM copy_media)',
        );
        self::assertSame(
            'content',
            $this->putInto($this->ada, $copy, Files::picture('png', 32, 30))->is(422)->text('errors.0.field'),
        );
        $this->asTeacher();
        $this->ask('POST', '/api/staff/media', ['content' => base64_encode(Files::picture('png', 33, 30))])->is(200);
    }

    public function test_what_stands_nowhere_any_more_goes_after_a_week_and_nothing_else(): void
    {
        $copy = $this->copyOf($this->ada);
        $own = $this->putInto($this->ada, $copy, Files::picture('png', 30, 30))->text('id');
        $this->asTeacher();
        $unused = $this->put(Files::picture('jpeg', 50, 50))->text('id');
        $this->asTeacher($other = $this->newTeacher('far@larkmouth.example'));
        $theirs = $this->put(Files::picture('jpeg', 50, 50))->text('id');
        $this->ask(
            'POST',
            '/api/staff/originals',
            self::original('Theirs', [
                ['id' => 'p', 'kind' => 'picture', 'text' => 'x', 'settings' => ['media' => $theirs]],
            ]),
        )->is(200);
        $this->asTeacher();
        $tidy = fn (): int => $this->service(PurgeTaskHandler::class)->handle(
            new Task(1, PurgeTaskHandler::TIDY, 'all', [], 1, 0),
        );
        $tidy();
        $this->ask('GET', "/api/staff/media/{$unused}")->is(200);
        $this->db()->executeStatement('UPDATE media SET made_at = made_at - 8 * 86400000');
        $tidy();
        $this->ask('GET', "/api/staff/media/{$unused}")->is(404);
        foreach ([$this->picture, $this->sound, $own] as $kept) {
            $this->ask('GET', "/api/staff/media/{$kept}")->is(200);
        }
        $this->asTeacher($other);
        $this->ask('GET', "/api/staff/media/{$theirs}")->is(200);
        $this->db()->executeStatement('DELETE FROM original WHERE teacher_id = ?', [$other->id]);
        $store = $this->service(FileStore::class);
        $digest = $this->db()->fetchOne('SELECT digest FROM media WHERE id = ?', [$theirs]);
        \assert(\is_string($digest));
        self::assertNotSame('', $store->get($digest));
        $tidy();
        $this->expectException(FileAway::class);
        $store->get($digest);
    }

    /**
     * @return array<string, mixed>
     */
    private function sheet(string $picture, string $sound): array
    {
        return self::original('Pictures', [
            ['id' => 'picture', 'kind' => 'picture', 'text' => 'The wall', 'settings' => ['media' => $picture]],
            ['id' => 'note', 'kind' => 'spokenNote', 'text' => 'What to do', 'settings' => ['media' => $sound]],
            ['id' => 'own', 'kind' => 'ownPictures', 'text' => 'Draw it.'],
        ]);
    }

    private function put(string $bytes): Json
    {
        return $this->ask('POST', '/api/staff/media', ['content' => base64_encode($bytes)]);
    }

    private function putInto(string $student, string $copy, string $bytes): Json
    {
        $this->asStudent($student);

        return $this->ask('POST', "/api/student/copies/{$copy}/media", ['content' => base64_encode($bytes)]);
    }

    private function save(string $student, string $copy, string $media): Json
    {
        $this->asStudent($student);

        return $this->ask('PUT', "/api/student/copies/{$copy}/slots/own", [
            'save' => Uuid::v4()->toRfc4122(),
            'base' => '',
            'text' => "{\"p1\":{\"media\":\"{$media}\",\"place\":1}}",
        ]);
    }

    private function copyOf(string $student): string
    {
        $this->asStudent($student);

        return $this->ask('GET', '/api/student/now')->text('group.copies.0.id');
    }

    /**
     * @param array<string, string> $file
     *
     * @return Json the original that was brought in
     */
    private function bringIn(array $file): Json
    {
        $brought = $this->ask('POST', '/api/staff/originals/import', $file)->is(200);

        return $this->ask('GET', '/api/staff/originals/'.$brought->text('original'))->is(200);
    }
}
