<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Tests\Support\AppTestCase;

final class SignInTest extends AppTestCase
{
    public function test_a_teacher_signs_in_and_out(): void
    {
        $this->asNobody();
        $this->ask('GET', '/api/staff/me')->is(401);
        $this->signIn('harbour')->is(200);
        self::assertSame('ines@larkmouth.example', $this->ask('GET', '/api/staff/me')->is(200)->text('email'));
        $this->ask('POST', '/api/staff/sign-out', [])->is(204);
        $this->ask('GET', '/api/staff/me')->is(401);
    }

    public function test_a_wrong_password_and_an_unknown_address_are_told_in_the_same_words(): void
    {
        $this->asNobody();
        $wrong = $this->signIn('wrong')->is(401);
        $unknown = $this->ask('POST', '/api/staff/sign-in', ['email' => 'nobody@larkmouth.example', 'password' => 'x'])->is(401);
        self::assertSame($wrong->raw, $unknown->raw);
        self::assertSame('password', $wrong->text('errors.0.field'));
    }

    public function test_after_eight_failures_an_account_has_to_wait(): void
    {
        $this->asNobody();
        for ($i = 0; $i < 8; ++$i) {
            $this->signIn('wrong')->is(401);
        }
        $this->signIn('harbour')->is(429);
    }

    public function test_another_page_cannot_act_in_a_teachers_name(): void
    {
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Origin' => 'https://elsewhere.example'])->is(403);
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Sec-Fetch-Site' => 'cross-site'])->is(403);
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Sec-Fetch-Site' => 'same-origin', 'Origin' => 'http://localhost'])->is(200);
    }

    public function test_passwords_are_kept_as_hashes(): void
    {
        $config = (string) file_get_contents(\dirname(__DIR__, 2).'/config/packages/security.yaml');
        self::assertStringContainsString('algorithm: auto', explode('when@test', $config)[0]);
    }

    private function signIn(string $password): \FreshHuddle\App\Tests\Support\Json
    {
        return $this->ask('POST', '/api/staff/sign-in', ['email' => 'ines@larkmouth.example', 'password' => $password]);
    }
}
