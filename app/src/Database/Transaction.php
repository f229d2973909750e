<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\ORM\EntityManagerInterface;

/**
 * The one way in which several things are written together: what follows from a change (tasks, events, what later areas
 * keep) is written in its own transaction, and what is only a hint (Stream) goes out once that stands.
 */
final class Transaction
{
    private int $depth = 0;

    /** @var list<\Closure(): void> */
    private array $afterwards = [];

    public function __construct(private readonly EntityManagerInterface $em)
    {
    }

    /**
     * @template T
     *
     * @param callable(): T $do
     *
     * @return T
     */
    public function run(callable $do): mixed
    {
        ++$this->depth;
        try {
            $result = $this->em->getConnection()->transactional(function () use ($do): mixed {
                $result = $do();
                if ($this->em->isOpen()) {
                    $this->em->flush();
                }

                return $result;
            });
        } catch (\Throwable $e) {
            --$this->depth;
            if (0 === $this->depth) {
                $this->afterwards = []; // it has not happened
            }
            throw $e;
        }
        if (0 === --$this->depth) {
            $afterwards = $this->afterwards;
            $this->afterwards = [];
            foreach ($afterwards as $afterward) {
                $afterward();
            }
        }

        return $result;
    }

    /**
     * Does it after the change that is being made; at once where none is.
     *
     * @param \Closure(): void $do
     */
    public function afterCommit(\Closure $do): void
    {
        if ($this->depth > 0) {
            $this->afterwards[] = $do;
        } else {
            $do();
        }
    }
}
