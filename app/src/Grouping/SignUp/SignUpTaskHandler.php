<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\SignUp;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Grouping\Exception\GroupingRefused;
use FreshHuddle\App\Grouping\Grouping;
use FreshHuddle\App\Refusal\RefusalKind;
use FreshHuddle\App\Worker\GaveUp;
use FreshHuddle\App\Worker\Task;
use FreshHuddle\App\Worker\TaskHandler;
use FreshHuddle\App\Worker\TryAgain;

/**
 * Closes a sign-up at its time and seats the rest. The subject of a task is the grouping's id.
 */
final readonly class SignUpTaskHandler implements TaskHandler
{
    public function __construct(private EntityManagerInterface $em, private SignUpClose $close)
    {
    }

    public static function kinds(): array
    {
        return [SignUps::CLOSE];
    }

    public function classOf(Task $task): ?string
    {
        return $this->em->find(Grouping::class, $task->subject)?->class->id;
    }

    public function handle(Task $task): ?int
    {
        $grouping = $this->em->find(Grouping::class, $task->subject);
        if (null !== $grouping) {
            try {
                $this->close->andSeatTheRest($grouping);
            } catch (GroupingRefused $e) {
                throw RefusalKind::Outdated === $e->kind ? new TryAgain($e->says, 500) : new GaveUp($e->says);
            }
        }

        return null;
    }
}
