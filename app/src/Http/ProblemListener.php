<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\App\Database\DatabaseAway;
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
    public function __construct(private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $event->setResponse($this->answer($event->getThrowable()));
    }

    private function answer(\Throwable $error): JsonResponse
    {
        if ($error instanceof Problem) {
            return $error->response();
        }
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof ValidationFailedException) {
                return self::invalid($cause);
            }
            if (DatabaseAway::says($cause)) {
                $this->logger->warning('The database does not answer ({code}).', ['code' => $cause->getCode()]);

                return (new Problem(503, 'One moment: the server is catching its breath. It is tried again by itself.', null, ['Retry-After' => '1']))->response();
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            $status = $error->getStatusCode();

            return (new Problem($status, match ($status) {
                400, 415, 422 => 'This request cannot be read.',
                413 => 'This is more than can be taken in one piece.',
                429 => 'That was too much at once. Wait a moment.',
                404, 405 => 'There is no such thing here, or it is not yours.',
                403 => 'This is not open to you.',
                default => 'This did not work.',
            }))->response();
        }
        $this->logger->error('{what}', ['what' => LogLine::of($error)]);

        return (new Problem(500, 'Something broke on our side. What was shown as saved is saved. Try again.'))->response();
    }

    private static function invalid(ValidationFailedException $failure): JsonResponse
    {
        $errors = [];
        foreach ($failure->getViolations() as $violation) {
            $errors[] = ['field' => $violation->getPropertyPath(), 'message' => (string) $violation->getMessage()];
        }

        return Problem::json([
            'type' => 'about:blank',
            'title' => $errors[0]['message'] ?? 'This request cannot be read.',
            'status' => 422,
            'errors' => $errors,
        ], 422);
    }
}
