<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Account\SignIn\KnownDevice;
use FreshHuddle\App\Account\SignIn\SignIns;
use FreshHuddle\App\Tests\Support\AppTestCase;
use FreshHuddle\App\Tests\Support\CountingHasher;
use FreshHuddle\App\Tests\Support\Json;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;

/**
 * Teachers sign in and out, on devices that are known and unknown.
 */
final class SignInTest extends AppTestCase
{
    public function test_a_teacher_signs_in_and_out(): void
    {
        $this->asNobody();
        $this->ask('GET', '/api/staff/me')->is(401);
        $this->tryIn('harbour')->is(200);
        self::assertSame('ines@larkmouth.example', $this->ask('GET', '/api/staff/me')->is(200)->text('email'));
        $this->ask('POST', '/api/staff/sign-out', [])->is(204);
        $this->ask('GET', '/api/staff/me')->is(401);
    }

    public function test_a_wrong_password_and_an_unknown_address_are_told_in_the_same_words(): void
    {
        $this->asNobody();
        $wrong = $this->tryIn('wrong')->is(401);
        $unknown = $this->ask('POST', '/api/staff/sign-in', [
            'email' => 'nobody@larkmouth.example',
            'password' => 'x',
        ])->is(401);
        self::assertSame($wrong->raw, $unknown->raw);
        self::assertSame('password', $wrong->text('errors.0.field'));
    }

    public function test_after_eight_failures_from_one_place_it_has_to_wait(): void
    {
        $this->asNobody();
        for ($i = 0; $i < 8; ++$i) {
            $this->tryIn('wrong')->is(401);
        }
        $this->tryIn('harbour')->is(429);
        $this->tryIn('harbour', '198.51.100.7')->is(200);
    }

    public function test_strangers_at_forty_addresses_cannot_try_for_ever_and_do_not_lock_the_owner_out(): void
    {
        $this->asNobody();
        $this->tryIn('harbour', '203.0.113.5')->is(200);
        $been = $this->client->getCookieJar()->get(KnownDevice::COOKIE);
        self::assertNotNull($been);
        $this->asNobody();
        $answers = [];
        for ($i = 0; $i < 40; ++$i) {
            $answers[] = $this->tryIn('wrong', '198.51.100.'.$i)->status;
        }
        self::assertSame([401 => 30, 429 => 10], array_count_values($answers));
        $this->client->getCookieJar()->set($been);
        $this->tryIn('harbour', '203.0.113.5')->is(200);
    }

    public function test_a_line_with_many_addresses_of_its_own_counts_as_one(): void
    {
        $this->asNobody();
        for ($i = 0; $i < 8; ++$i) {
            $this->tryIn('wrong', "2001:db8:1:2::{$i}")->is(401);
        }
        $this->tryIn('harbour', '2001:db8:1:2:ffff::1')->is(429);
        $this->tryIn('harbour', '2001:db8:1:3::1')->is(200);
    }

    public function test_an_unknown_address_takes_the_same_work_as_a_known_one(): void
    {
        $this->asNobody();
        $hasher = new CountingHasher();
        foreach (['ines@larkmouth.example', 'nobody@larkmouth.example'] as $i => $email) {
            self::ensureKernelShutdown();
            $this->client = self::createClient();
            $factory = self::createStub(PasswordHasherFactoryInterface::class);
            $factory->method('getPasswordHasher')->willReturn($hasher);
            self::getContainer()->set('security.password_hasher_factory', $factory);
            $this->ask('POST', '/api/staff/sign-in', ['email' => $email, 'password' => 'wrong'])->is(401);
            self::assertSame($i + 1, $hasher->checked, $email);
        }
        self::assertSame(['harbour', SignIns::NOBODYS], $hasher->against);
        self::assertSame(0, $hasher->made, 'to make a hash would be work that a known address does not take');
        $config = (string) file_get_contents(\dirname(__DIR__, 2).'/config/packages/security.yaml');
        $cost = password_get_info(SignIns::NOBODYS)['options']['cost'] ?? null;
        self::assertIsInt($cost);
        self::assertStringContainsString("algorithm: bcrypt, cost: {$cost} }", $config);
    }

    public function test_who_is_not_signed_in_leaves_nothing_behind(): void
    {
        $this->asNobody();
        $before = $this->rows();
        foreach (
            [
                '/api/staff/me',
                '/api/staff/classes',
                '/api/student/now',
                '/api/student/classes/ABCDEF',
                '/api/student/door',
                '/nothing',
            ] as $path
        ) {
            $this->ask('GET', $path);
        }
        $this->tryIn('wrong');
        $this->ask('POST', '/api/student/join', ['doorWord' => 'ABCDEF', 'name' => 'Ada']);
        self::assertSame($before, $this->rows());
        self::assertSame([], $this->client->getCookieJar()->all());
    }

    public function test_a_sign_in_ends_with_its_time_and_signing_out_ends_it_for_good(): void
    {
        $cookie = $this->client->getCookieJar()->get(TeacherDevices::COOKIE);
        self::assertNotNull($cookie);
        $this->ask('POST', '/api/staff/sign-out', [])->is(204);
        $this->client->getCookieJar()->set($cookie);
        $this->ask('GET', '/api/staff/me')->is(401);
        $this->tryIn('harbour')->is(200);
        $this->ask('GET', '/api/staff/me')->is(200);
        $this->db()->executeStatement("UPDATE teacher_device SET until = now() - interval '1 second'");
        $this->ask('GET', '/api/staff/me')->is(401);
    }

    /**
     * @return array<string, mixed> how many rows each table has
     */
    private function rows(): array
    {
        $rows = [];
        foreach ($this->db()->createSchemaManager()->listTableNames() as $table) {
            $rows[$table] = $this->db()->fetchOne("SELECT COUNT(*) FROM {$table}");
        }

        return $rows;
    }

    public function test_another_page_cannot_act_in_a_teachers_name(): void
    {
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Origin' => 'https://elsewhere.example'])->is(
            403,
        );
        $this->ask('POST', '/api/staff/classes', ['name' => '9G'], ['Sec-Fetch-Site' => 'cross-site'])->is(403);
        $this->ask(
            'POST',
            '/api/staff/classes',
            ['name' => '9G'],
            ['Sec-Fetch-Site' => 'same-origin', 'Origin' => 'http://localhost'],
        )->is(200);
    }

    public function test_passwords_are_kept_as_hashes(): void
    {
        $config = (string) file_get_contents(\dirname(__DIR__, 2).'/config/packages/security.yaml');
        self::assertStringContainsString('algorithm: bcrypt', explode('when@test', $config)[0]);
    }

    private function tryIn(string $password, string $address = '127.0.0.1'): Json
    {
        return $this->ask(
            'POST',
            '/api/staff/sign-in',
            ['email' => 'ines@larkmouth.example', 'password' => $password],
            ['X-Forwarded-For' => $address],
        );
    }
}
