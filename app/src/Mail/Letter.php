<?php

declare(strict_types=1);

namespace FreshHuddle\App\Mail;

use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TryAgain;
use FreshHuddle\Core\Message;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * Writes and sends one message; its words stand in the catalogue `mail`.
 */
final readonly class Letter
{
    private const MOST_TRIES = 5;

    public function __construct(
        private MailerInterface $mailer,
        private TranslatorInterface $translator,
        #[Autowire('%env(MAIL_FROM)%')]
        private string $from,
    ) {
    }

    /**
     * @param Task                      $task   the work this is, tried again for about a minute if the message is not
     *                                          taken
     * @param string                    $kind   `mail.<kind>.subject` and `mail.<kind>.text` in the catalogue
     * @param array<string, int|string> $values
     *
     * @throws TryAgain if it was not taken
     * @throws GaveUp   if it was not taken too often
     */
    public function send(Task $task, string $address, string $kind, array $values): void
    {
        $message = (new Email())
            ->from(new Address($this->from, 'Fresh Huddle'))
            ->to($address)
            ->subject($this->translator->trans('mail.'.$kind.'.subject', $values))
            ->text($this->translator->trans('mail.'.$kind.'.text', $values));
        try {
            $this->mailer->send($message);
        } catch (TransportExceptionInterface) {
            $says = new Message('mail.not_taken', ['address' => $address]);
            throw $task->attempts < self::MOST_TRIES
                ? new TryAgain($says, 2_000 * 2 ** $task->attempts)
                : new GaveUp($says);
        }
    }
}
