<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * What comes in a request's body.
 */
final class BodyTest extends AppTestCase
{
    public function test_a_body_longer_than_its_route_can_need_is_refused_unread(): void
    {
        $this->asNobody();
        $this->ask('POST', '/api/student/join', '['.str_repeat('1,', 80_000).'1]')->is(413);
        $this->ask('POST', '/api/staff/sign-in', '{"email":"'.str_repeat('x', 20_000).'","password":"x"}')->is(
            413,
        );
        $this->asTeacher();
        $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => str_repeat("Ada\n", 200_000)])->is(413);
    }

    public function test_a_list_and_thousands_of_unknown_fields_are_refused_at_the_first(): void
    {
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => 'Ada'])->text('id');
        $many = implode(',', array_map(static fn (int $i): string => "\"f{$i}\":1", range(1, 20_000)));
        $answer = $this->ask('POST', "/api/staff/classes/{$class}/import/preview", '{'.$many.'}')->is(422);
        self::assertStringContainsString('too many fields', $answer->text('title'));
        self::assertSame(
            'f1',
            $this->ask('POST', "/api/staff/classes/{$class}/import/preview", ['f1' => 1, 'f2' => 2])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('POST', "/api/staff/classes/{$class}/import/preview", '['.str_repeat('1,', 500_000).'1]')->is(
            422,
        );
    }

    public function test_the_field_at_fault_is_named_however_deep_it_lies(): void
    {
        $lesson = $this->newLesson();
        $answer = $this->ask('PATCH', '/api/staff/groupings/'.$lesson->text('floor.id'), [
            'settings' => ['goals' => [['kind' => 'spread', 'attribute' => 'level'], ['kind' => 'nosuch']]],
        ])->is(422);
        self::assertSame('settings.goals[1].kind', $answer->text('errors.0.field'));
        self::assertSame(
            'settings',
            $this->ask('PATCH', '/api/staff/groupings/'.$lesson->text('floor.id'), ['settings' => 'AAAA'])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'settings.groups',
            $this->ask('PATCH', '/api/staff/groupings/'.$lesson->text('floor.id'), [
                'settings' => ['groups' => 'six', 'goals' => []],
            ])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'basedOn',
            $this->ask('POST', '/api/staff/groupings/'.$lesson->text('floor.id').'/undo', [
                'basedOn' => 4_294_967_296,
            ])
                ->is(422)
                ->text('errors.0.field'),
        );
    }

    public function test_text_is_kept_without_signs_nobody_can_see(): void
    {
        $made = $this->ask('POST', '/api/staff/classes', [
            'name' => "9G\u{202E} Geo\u{0000}graphy\u{2066}",
            'names' => 'Ada',
        ])->is(200);
        self::assertSame('9G Geography', $made->text('name'));
    }

    public function test_only_json_is_read(): void
    {
        foreach (['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'] as $type) {
            $this->client->request(
                'POST',
                '/api/staff/classes',
                [],
                [],
                ['CONTENT_TYPE' => $type],
                '{"name":"9G","names":"Ada"}',
            );
            self::assertSame(415, $this->client->getResponse()->getStatusCode(), $type);
        }
        $this->client->request(
            'PATCH',
            '/%61pi/staff/classes/00000000-0000-4000-8000-000000000000',
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://elsewhere.example'],
            '{"name":"9G"}',
        );
        self::assertSame(403, $this->client->getResponse()->getStatusCode());
    }

    public function test_a_method_is_what_it_is(): void
    {
        $class = $this->ask('POST', '/api/staff/classes', ['name' => '9G', 'names' => 'Ada']);
        $this->ask('POST', '/api/staff/students/'.$class->text('students.0.id'), null, [
            'X-HTTP-Method-Override' => 'DELETE',
        ])->is(405);
        self::assertCount(1, $this->ask('GET', '/api/staff/classes/'.$class->text('id'))->list('students'));
    }
}
