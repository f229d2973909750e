<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\SetUp\Work;

use FreshHuddle\App\Lesson\Round\Round;
use FreshHuddle\App\Ready\Sending\DeliveryKind;
use FreshHuddle\App\Ready\Sending\DeliveryStore;
use FreshHuddle\App\Ready\Sending\StudentLetter;
use FreshHuddle\App\Ready\Sending\StudentLetters;
use FreshHuddle\App\Ready\SetUp\SetUpStep;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Ready\SetUp\StepKind;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\Exception\UnexpectedResponseException;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/**
 * Letters to students. One that is sent again because nobody noted that it was carries the same Message-ID (RFC 5322,
 * 3.6.4): a mailbox knows it again.
 */
final class LetterSteps implements StepRunner
{
    /** @var array<string, StudentLetter>|null by student; null: to be worked out */
    private ?array $known = null;

    public function __construct(
        private readonly StudentLetters $letters,
        private readonly DeliveryStore $store,
        private readonly MailerInterface $mailer,
        #[Autowire('%env(MAIL_FROM)%')]
        private readonly string $from,
    ) {
    }

    public static function kinds(): array
    {
        return [StepKind::Send];
    }

    public function begin(Round $round): void
    {
        $this->known = null;
    }

    public function do(SetUpStep $step): void
    {
        $round = $step->round;
        $this->known ??= $this->letters->forRound($round);
        $letter = $this->known[$step->subject] ?? null;
        if (null === $letter) {
            return; // no address any more, or no seat
        }
        $key = $this->store->key($round->id, DeliveryKind::Letter, $letter->student);
        $message = (new Email())
            ->from(new Address($this->from, $round->lesson->class->teacher->name))
            ->to($letter->address)
            ->subject($letter->subject)
            ->text($letter->text())
            ->html($letter->html());
        $message
            ->getHeaders()
            ->addIdHeader(
                'Message-ID',
                "{$key}.".substr($letter->digest, 0, 12).'@'.(explode('@', $this->from)[1] ?? 'localhost'),
            );
        try {
            $this->mailer->send($message);
        } catch (UnexpectedResponseException $e) {
            if ($e->getCode() < 500 || $e->getCode() > 599) {
                throw StepNotDone::because(new Message('mail.not_taken', ['address' => $letter->address]), true);
            }
            $why = new Message('ready.letter.refused', ['address' => $letter->address]);
            $this->store->refused($key, $letter->address, $letter->digest, 'refused');

            throw StepNotDone::because($why);
        } catch (TransportExceptionInterface) {
            throw StepNotDone::because(new Message('mail.not_taken', ['address' => $letter->address]), true);
        }
        $this->store->written($key, $letter->address, $letter->digest);
    }
}
