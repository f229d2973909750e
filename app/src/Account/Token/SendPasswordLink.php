<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;

/**
 * Somebody has asked for the link of an address. The subject of a task is the address's digest, its data the address.
 */
final readonly class SendPasswordLink implements TaskHandler
{
    public const KIND = 'sendPasswordLink';

    public function __construct(private ForgottenPasswords $forgotten)
    {
    }

    public static function kinds(): array
    {
        return [self::KIND];
    }

    public function classOf(Task $task): ?string
    {
        return null;
    }

    public function handle(Task $task): ?int
    {
        $email = $task->data['email'] ?? '';
        if (\is_string($email)) {
            $this->forgotten->make($email);
        }

        return null;
    }
}
