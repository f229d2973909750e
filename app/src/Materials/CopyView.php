<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials;

final readonly class CopyView
{
    /**
     * @param list<BlockView>  $blocks
     * @param list<AnswerView> $answers those that were ever written
     */
    public function __construct(
        public string $id,
        public string $groupId,
        public string $name,
        public string $title,
        public array $blocks,
        public array $answers,
    ) {
    }
}
