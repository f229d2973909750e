<?php

declare(strict_types=1);

namespace FreshHuddle\App\Mail;

use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\Mailer\Transport\Dsn;
use Symfony\Component\Mailer\Transport\Smtp\SmtpTransport;
use Symfony\Component\Mailer\Transport\Smtp\Stream\SocketStream;
use Symfony\Component\Mailer\Transport\TransportFactoryInterface;
use Symfony\Component\Mailer\Transport\TransportInterface;

/**
 * Mail goes out line by line; left to itself the network holds each back for a moment (RFC 896), which makes 40 ms a
 * letter.
 */
#[AsDecorator('mailer.transport_factory.smtp')]
final readonly class PromptSmtp implements TransportFactoryInterface
{
    public function __construct(private TransportFactoryInterface $inner)
    {
    }

    public function create(Dsn $dsn): TransportInterface
    {
        $transport = $this->inner->create($dsn);
        $stream = $transport instanceof SmtpTransport ? $transport->getStream() : null;
        if ($stream instanceof SocketStream) {
            $stream->setStreamOptions(
                array_replace_recursive($stream->getStreamOptions(), ['socket' => ['tcp_nodelay' => true]]),
            );
        }

        return $transport;
    }

    public function supports(Dsn $dsn): bool
    {
        return $this->inner->supports($dsn);
    }
}
