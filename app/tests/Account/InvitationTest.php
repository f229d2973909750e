<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Account;

use FreshHuddle\App\Account\Password\Passwords;
use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Account\Token\LinkSecret;
use FreshHuddle\App\Account\Token\MailPassword;
use FreshHuddle\App\Tests\Support\AppTestCase;
use Symfony\Component\Mime\Email;

/**
 * Assistants and co-teachers are invited by email.
 */
final class InvitationTest extends AppTestCase
{
    public function test_somebody_is_asked_by_mail_makes_an_account_and_assists(): void
    {
        $class = $this->newLesson()->text('classId');
        self::assertSame(
            [['teacher' => null, 'name' => 'abel@larkmouth.example', 'role' => 'assistant']],
            $this->ask('POST', "/api/staff/classes/{$class}/staff", ['email' => ' Abel@larkmouth.example '])
                ->is(200)
                ->at(''),
        );
        $mail = $this->mail();
        self::assertSame('Ines Halvorsen has invited you to 9G', $mail->getSubject());
        self::assertStringContainsString('to be an assistant in the class 9G', (string) $mail->getTextBody());
        $link = $this->link($mail, 'invitation');

        $this->asNobody();
        $shown = $this->ask('GET', '/api/account/invitations/'.$link)->is(200);
        self::assertSame(
            ['9G', 'Ines Halvorsen', 'assistant', false],
            [$shown->at('className'), $shown->at('invitedBy'), $shown->at('role'), $shown->at('known')],
        );
        self::assertSame(
            'name',
            $this->ask('POST', '/api/account/invitations/'.$link, [])
                ->is(422)
                ->text('errors.0.field'),
        );
        self::assertSame(
            'password',
            $this->ask('POST', '/api/account/invitations/'.$link, ['name' => 'Abel Tarrant', 'password' => 'short'])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('POST', '/api/account/invitations/'.$link, [
            'name' => 'Abel Tarrant',
            'password' => 'harbour-lights',
        ])->is(204);
        $this->ask('POST', '/api/account/invitations/'.$link, [
            'name' => 'Abel Tarrant',
            'password' => 'harbour-lights',
        ])->is(404); // once
        $this->ask('POST', '/api/staff/sign-in', [
            'email' => 'abel@larkmouth.example',
            'password' => 'harbour-lights',
        ])->is(200);
        self::assertSame('assistant', $this->ask('GET', '/api/staff/classes')->is(200)->at('0.role'));

        $this->asTeacher();
        $abel = $this->ask('GET', "/api/staff/classes/{$class}/staff")->text('0.teacher');
        self::assertSame(
            [],
            $this->ask('DELETE', "/api/staff/classes/{$class}/staff/{$abel}")
                ->is(200)
                ->at(''),
        );
    }

    public function test_who_has_an_account_is_asked_for_nothing_more(): void
    {
        $class = $this->newLesson()->text('classId');
        $tomas = $this->newTeacher('tomas@larkmouth.example');
        $this->ask('POST', "/api/staff/classes/{$class}/staff", [
            'email' => 'tomas@larkmouth.example',
            'role' => 'coTeacher',
        ])->is(200);
        $link = $this->link($this->mail(), 'invitation');
        $this->asTeacher($tomas);
        self::assertTrue($this->ask('GET', '/api/account/invitations/'.$link)->at('known'));
        $this->ask('POST', '/api/account/invitations/'.$link, [])->is(204);
        $this->ask('PATCH', "/api/staff/classes/{$class}", ['name' => 'Ours'])->is(200);
        // whose class it is
        $this->ask('POST', "/api/staff/classes/{$class}/staff", ['email' => 'ines@larkmouth.example'])->is(422);
        $this->ask('POST', "/api/staff/classes/{$class}/staff", [
            'email' => 'x@larkmouth.example',
            'role' => 'owner',
        ])->is(422);
    }

    public function test_a_taken_back_invitation_and_a_made_up_link_open_nothing(): void
    {
        $class = $this->newLesson()->text('classId');
        $this->ask('POST', "/api/staff/classes/{$class}/staff", ['email' => 'abel@larkmouth.example'])->is(200);
        $link = $this->link($this->mail(), 'invitation');
        $this->ask('DELETE', "/api/staff/classes/{$class}/staff/abel@larkmouth.example")->is(200);
        $this->ask('GET', '/api/account/invitations/'.$link)->is(404);
        $this->ask('GET', '/api/account/invitations/'.str_repeat('x', 60))->is(404);
        self::assertNull($this->service(LinkSecret::class)->read(substr($link, 0, 36).'.'.str_repeat('A', 43)));
    }

    public function test_a_forgotten_password_is_set_anew_once_and_every_device_is_signed_out(): void
    {
        $this->asNobody();
        $this->ask('POST', '/api/account/forgotten', ['email' => 'nobody@larkmouth.example'])->is(204);
        $this->work();
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM due_task WHERE kind = ?', [MailPassword::KIND]));
        $this->ask('POST', '/api/account/forgotten', ['email' => 'INES@larkmouth.example'])->is(204);
        $link = $this->link($this->mail(), 'password');
        self::assertSame(
            'password',
            $this->ask('POST', '/api/account/password', ['token' => $link, 'password' => 'short'])
                ->is(422)
                ->text('errors.0.field'),
        );
        $this->ask('POST', '/api/account/password', ['token' => $link, 'password' => 'low-tide-at-six'])->is(204);
        $this->ask('POST', '/api/account/password', ['token' => $link, 'password' => 'another-one-again'])->is(422);
        $this->ask('POST', '/api/staff/sign-in', [
            'email' => 'ines@larkmouth.example',
            'password' => 'low-tide-at-six',
        ])->is(200);
        $this->asTeacher();
        $this->ask('GET', '/api/staff/me')->is(401);
    }

    public function test_asking_for_a_link_does_the_same_for_an_account_and_for_none(): void
    {
        $this->asNobody();
        $seen = [];
        foreach (['nobody@larkmouth.example', 'ines@larkmouth.example'] as $email) {
            $this->ask('POST', '/api/account/forgotten', ['email' => $email])->is(204);
            $seen[] = $this->db()->fetchFirstColumn('SELECT kind FROM due_task ORDER BY id');
        }
        self::assertSame(
            [['sendPasswordLink'], ['sendPasswordLink', 'sendPasswordLink']],
            array_map(
                static fn (array $kinds): array => array_values(
                    array_filter($kinds, static fn (mixed $kind): bool => 'tidy' !== $kind),
                ),
                $seen,
            ),
        );
        $this->work();
        for ($i = 0; $i < 5; ++$i) {
            $this->ask('POST', '/api/account/forgotten', ['email' => 'ines@larkmouth.example'])->is(204);
            $this->work();
        }
        self::assertSame(
            3,
            $this->db()->fetchOne('SELECT COUNT(*) FROM teacher_token'),
            'three links within a quarter of an hour',
        );
    }

    public function test_a_password_link_dies_with_any_change_of_the_password(): void
    {
        $this->ask('POST', '/api/account/forgotten', ['email' => 'ines@larkmouth.example'])->is(204);
        $this->work();
        $link = $this->link($this->mail(), 'password');
        $this->asTeacher();
        $teacher = $this->em()
            ->getRepository(Teacher::class)
            ->findOneBy(['email' => 'ines@larkmouth.example']);
        \assert(null !== $teacher);
        $this->service(Passwords::class)->set($teacher, 'quite-another-one');
        $this->asNobody();
        $this->ask('POST', '/api/account/password', ['token' => $link, 'password' => 'low-tide-at-six'])->is(422);
    }

    public function test_an_invitation_into_a_class_that_is_put_away_or_deleted_opens_nothing(): void
    {
        foreach (['archived_at', 'removed_at'] as $i => $column) {
            $this->asTeacher();
            $class = $this->newLesson(2, "9{$i}")->text('classId');
            $this->ask('POST', "/api/staff/classes/{$class}/staff", ['email' => "abel{$i}@larkmouth.example"])->is(
                200,
            );
            $link = $this->link($this->mail(), 'invitation');
            $this->asNobody();
            $this->ask('GET', '/api/account/invitations/'.$link)->is(200);
            $this->db()->executeStatement("UPDATE school_class SET {$column} = now() WHERE id = ?", [$class]);
            $this->em()->clear();
            $this->ask('GET', '/api/account/invitations/'.$link)->is(404);
            $this->ask('POST', '/api/account/invitations/'.$link, [
                'name' => 'Abel Tarrant',
                'password' => 'harbour-lights',
            ])->is(404);
        }
    }

    public function test_nobody_is_written_to_without_end(): void
    {
        $class = $this->newLesson()->text('classId');
        $statuses = [];
        for ($i = 0; $i < 7; ++$i) {
            $statuses[] = $this->ask('POST', "/api/staff/classes/{$class}/staff", [
                'email' => 'abel@larkmouth.example',
            ])->status;
        }
        self::assertSame([200 => 5, 429 => 2], array_count_values($statuses));
        $this->forgetLimits();
        $statuses = [];
        for ($i = 0; $i < 65; ++$i) {
            $statuses[] = $this->ask('POST', "/api/staff/classes/{$class}/staff", [
                'email' => "abel{$i}@larkmouth.example",
            ])->status;
            $this->ask('DELETE', "/api/staff/classes/{$class}/staff/abel{$i}@larkmouth.example")->is(200);
        }
        self::assertSame([200 => 60, 429 => 5], array_count_values($statuses));
    }

    private function mail(): Email
    {
        $this->work();
        $mail = self::getMailerMessage();
        self::assertInstanceOf(Email::class, $mail);

        return $mail;
    }

    private function link(Email $mail, string $path): string
    {
        self::assertSame(1, preg_match('~/'.$path.'/(\S+)~', (string) $mail->getTextBody(), $found));

        return $found[1] ?? '';
    }
}
