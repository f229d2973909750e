<?php

declare(strict_types=1);

namespace FreshHuddle\App\Mail;

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
    public function __construct(
        private MailerInterface $mailer,
        private TranslatorInterface $translator,
        #[Autowire('%env(MAIL_FROM)%')]
        private string $from,
    ) {
    }

    /**
     * @param string                $kind   `<kind>.subject` and `<kind>.text` in the catalogue
     * @param array<string, string> $values
     *
     * @throws TransportExceptionInterface if it was not taken
     */
    public function send(string $address, string $kind, array $values): void
    {
        $this->mailer->send((new Email())
            ->from(new Address($this->from, 'Fresh Huddle'))
            ->to($address)
            ->subject($this->translator->trans($kind.'.subject', $values, 'mail'))
            ->text($this->translator->trans($kind.'.text', $values, 'mail')));
    }
}
