<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Invitation;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Account\Token\LinkSecret;
use FreshHuddle\App\Mail\Letter;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Sends an invitation. The subject of a task is the invitation's id.
 */
final readonly class MailInvitation implements TaskHandler
{
    public const KIND = 'mailInvitation';

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
        return $this->em->find(ClassInvitation::class, $task->subject)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        $invitation = $this->em->find(ClassInvitation::class, $task->subject);
        if (null !== $invitation) {
            $this->letter->send($task, $invitation->email, 'invitation', [
                'by' => $invitation->invitedBy->name,
                'class' => $invitation->class->name,
                'role' => $invitation->role->value,
                'link' => "{$this->publicUrl}/invitation/{$this->secret->derive($invitation->id)}",
            ]);
        }

        return null;
    }
}
