<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\App\Database\DatabaseAway;
use FreshHuddle\App\Refusal\Refusal;
use FreshHuddle\Core\Message;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Validator\Exception\ValidationFailedException;

/**
 * Turns whatever went wrong into a problem document. Nothing of the inside is shown, and what only went wrong on the
 * caller's side is nothing for the log.
 */
#[AsEventListener(priority: -64)]
final readonly class ProblemListener
{
    public function __construct(private Problems $problems, private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $event->setResponse($this->answer($event->getThrowable()));
    }

    private function answer(\Throwable $error): JsonResponse
    {
        if ($error instanceof Problem || $error instanceof Refusal) {
            return $this->problems->response($error);
        }
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof ValidationFailedException) {
                return $this->problems->invalid($cause->getViolations());
            }
            if (DatabaseAway::says($cause)) {
                $this->logger->warning('The database does not answer ({code}).', ['code' => $cause->getCode()]);

                return $this->problems->response(Problem::busy());
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            $status = $error->getStatusCode();

            return $this->problems->response(
                new Problem(
                    $status,
                    new Message(
                        match ($status) {
                            400, 415, 422 => 'http.unreadable',
                            413 => 'http.too_large',
                            429 => 'http.too_much',
                            404, 405 => 'http.missing',
                            403 => 'http.not_open',
                            default => 'http.did_not_work',
                        },
                    ),
                ),
            );
        }
        $this->logger->error('{what}', ['what' => LogLine::forError($error)]);

        return $this->problems->response(new Problem(500, new Message('http.broken')));
    }
}
