<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Account\Device\TeacherDevices;
use FreshHuddle\App\Tests\Support\AppTestCase;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpKernel\KernelInterface;

/**
 * A teacher's own account.
 */
final class AccountTest extends AppTestCase
{
    public function test_a_password_is_changed_by_who_knows_it_and_every_other_device_is_signed_out(): void
    {
        $other = $this->service(TeacherDevices::class)->signIn($this->fetched());
        self::assertSame(
            'now',
            $this->ask('POST', '/api/staff/password', ['now' => 'wrong', 'next' => 'the tide comes in'])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'next',
            $this->ask('POST', '/api/staff/password', ['now' => 'harbour', 'next' => 'short'])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('POST', '/api/staff/password', ['now' => 'harbour', 'next' => 'the tide comes in'])->is(204);
        $this->ask('GET', '/api/staff/me')->is(200);
        $this->client->getCookieJar()->set(new Cookie(TeacherDevices::COOKIE, $other));
        $this->ask('GET', '/api/staff/me')->is(401);
        $this->asNobody();
        $this->ask('POST', '/api/staff/sign-in', ['email' => 'ines@larkmouth.example', 'password' => 'harbour'])->is(
            401,
        );
        $this->ask('POST', '/api/staff/sign-in', [
            'email' => 'ines@larkmouth.example',
            'password' => 'the tide comes in',
        ])->is(200);
    }

    public function test_an_open_screen_is_not_enough_to_guess_at_the_password(): void
    {
        for ($i = 0; $i < 8; ++$i) {
            $this->ask('POST', '/api/staff/password', ['now' => "guess {$i}", 'next' => 'the tide comes in'])->is(
                422,
            );
        }
        $this->ask('POST', '/api/staff/password', ['now' => 'harbour', 'next' => 'the tide comes in'])->is(429);
    }

    public function test_own_devices_are_listed_and_the_others_signed_out_in_one_press(): void
    {
        $other = $this->service(TeacherDevices::class)->signIn($this->fetched());
        $this->newTeacher('another@larkmouth.example');
        $devices = $this->ask('GET', '/api/staff/devices')->is(200);
        self::assertSame([false, true], [$devices->at('0.thisOne'), $devices->at('1.thisOne')]);
        self::assertCount(2, $devices->list(''), 'nobody else’s');
        $this->ask('DELETE', '/api/staff/devices')->is(204);
        self::assertCount(1, $this->ask('GET', '/api/staff/devices')->list(''));
        $this->client->getCookieJar()->set(new Cookie(TeacherDevices::COOKIE, $other));
        $this->ask('GET', '/api/staff/me')->is(401);
    }

    public function test_a_teacher_is_added_from_the_command_line_once_and_signs_in(): void
    {
        [$status, $said] = $this->add('Tomas@Larkmouth.example', 'Tomas Brandt');
        self::assertSame(0, $status);
        self::assertSame(1, preg_match('/the password ([a-z2-9]{4}(?:-[a-z2-9]{4}){3})\\s*$/D', $said, $m), $said);
        $this->asNobody();
        $this->ask('POST', '/api/staff/sign-in', ['email' => 'tomas@larkmouth.example', 'password' => $m[1]])->is(
            200,
        );
        self::assertSame([], $this->ask('GET', '/api/staff/classes')->is(200)->list(''), 'nobody else’s classes');
        self::assertSame(
            [1, "A teacher with the email tomas@larkmouth.example already exists.\n"],
            $this->add('tomas@larkmouth.example', 'Tomas'),
        );
        self::assertSame([1, "This isn’t an email address: “nonsense”.\n"], $this->add('nonsense', 'Tomas'));
        self::assertSame([1, "A name has 1 to 120 characters: “”.\n"], $this->add('x@larkmouth.example', '  '));
    }

    private function fetched(): \FreshHuddle\App\Account\Teacher
    {
        $teacher = $this->service(\Doctrine\ORM\EntityManagerInterface::class)->find(
            \FreshHuddle\App\Account\Teacher::class,
            $this->teacher->id,
        );
        self::assertNotNull($teacher);

        return $teacher;
    }

    /**
     * @return array{int, string}
     */
    private function add(string $address, string $name): array
    {
        $tester = new CommandTester(
            (new Application($this->service(KernelInterface::class)))->find('huddle:teacher:add'),
        );

        return [$tester->execute(['address' => $address, 'name' => $name]), $tester->getDisplay()];
    }
}
