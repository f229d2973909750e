<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Mail;

use FreshHuddle\App\Mail\Letter;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TryAgain;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\RawMessage;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * An email, as it goes out.
 */
final class LetterTest extends TestCase
{
    public function test_a_letter_goes_to_its_address_from_us_with_the_words_of_the_catalogue(): void
    {
        $sent = null;
        $mailer = self::createStub(MailerInterface::class);
        $mailer->method('send')->willReturnCallback(static function (RawMessage $message) use (&$sent): void {
            $sent = $message;
        });
        $this->send($mailer, 1);
        self::assertInstanceOf(Email::class, $sent);
        self::assertSame(
            ['abel@larkmouth.example', 'huddle@larkmouth.example'],
            [$sent->getTo()[0]->getAddress(), $sent->getFrom()[0]->getAddress()],
        );
        self::assertSame(
            ['“mail.password.subject”', '“mail.password.text”'],
            [$sent->getSubject(), $sent->getTextBody()],
        );
    }

    #[TestWith([1, 4_000]), TestWith([2, 8_000]), TestWith([4, 32_000])]
    public function test_a_letter_that_is_not_taken_is_tried_again_later_each_time(
        int $attempts,
        int $inMilliseconds,
    ): void {
        try {
            $this->send($this->refusing(), $attempts);
            self::fail('Nothing was said.');
        } catch (TryAgain $e) {
            self::assertSame($inMilliseconds, $e->inMilliseconds);
        }
    }

    public function test_after_five_tries_it_is_said_whom_it_did_not_reach(): void
    {
        $this->expectException(GaveUp::class);
        $this->expectExceptionMessage('mail.not_taken');
        $this->send($this->refusing(), 5);
    }

    private function refusing(): MailerInterface
    {
        $mailer = self::createStub(MailerInterface::class);
        $mailer->method('send')->willThrowException(new TransportException('no'));

        return $mailer;
    }

    private function send(MailerInterface $mailer, int $attempts): void
    {
        $translator = self::createStub(TranslatorInterface::class);
        $translator->method('trans')->willReturnCallback(static fn (string $id): string => "“{$id}”");
        (new Letter($mailer, $translator, 'huddle@larkmouth.example'))->send(
            new Task(1, 'mailPassword', 't', [], $attempts, 0),
            'abel@larkmouth.example',
            'password',
            [],
        );
    }
}
