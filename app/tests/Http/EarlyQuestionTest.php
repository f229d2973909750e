<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Http;

use FreshHuddle\App\Http\EarlyQuestion;
use FreshHuddle\App\Tests\Support\AppTestCase;

/**
 * What a page asks before its scripts are here is no error where nobody is signed in.
 */
final class EarlyQuestionTest extends AppTestCase
{
    public function test_nobody_is_an_answer_to_an_early_question_and_an_error_to_any_other(): void
    {
        $this->asNobody();
        foreach (['/api/staff/me', '/api/staff/classes', '/api/student/now'] as $path) {
            $this->ask('GET', $path, headers: [EarlyQuestion::HEADER => '1'])->is(204);
            self::assertSame('', $this->client->getResponse()->getContent());
            $this->ask('GET', $path)->is(401);
        }
    }

    public function test_who_is_signed_in_is_answered_as_always_and_a_change_is_never_early(): void
    {
        self::assertSame(
            'Ines Halvorsen',
            $this->ask('GET', '/api/staff/me', headers: [EarlyQuestion::HEADER => '1'])->text('name'),
        );
        $this->asNobody();
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], [EarlyQuestion::HEADER => '1'])->is(401);
    }
}
