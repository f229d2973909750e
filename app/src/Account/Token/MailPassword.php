<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Mail\Letter;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Sends the link for a forgotten password. The subject of a task is the token's id.
 */
final readonly class MailPassword implements TaskHandler
{
    public const KIND = 'mailPassword';

    public function __construct(
        private EntityManagerInterface $em,
        private Letter $letter,
        private LinkSecret $secret,
        #[Autowire('%env(PUBLIC_URL)%')]
        private string $publicUrl,
    ) {
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
        $token = $this->em->find(TeacherToken::class, $task->subject);
        if (null !== $token && null === $token->usedAt) {
            $this->letter->send($task, $token->teacher->email, 'password', [
                'name' => $token->teacher->name,
                'link' => "{$this->publicUrl}/password/{$this->secret->derive($token->id)}",
            ]);
        }

        return null;
    }
}
