<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Variant;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Grouping\Desk\DeskView;
use FreshHuddle\App\Grouping\Desk\DeskViews;
use FreshHuddle\App\Grouping\Desk\NameGrouping;
use FreshHuddle\App\Grouping\GroupingAccess;
use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * Saved versions of groups.
 */
#[Route('/api/staff/groupings/{id}', requirements: ['id' => Requirement::UUID, 'variant' => Requirement::UUID])]
final readonly class VariantController
{
    public function __construct(
        private Variants $variants,
        private DeskViews $views,
        private GroupingAccess $groupingAccess,
    ) {
    }

    /** Saves the groups as they are as a version. */
    #[Route('/variants', methods: ['POST'])]
    public function keep(#[CurrentUser] Teacher $teacher, string $id, #[Body] NameGrouping $request): DeskView
    {
        $grouping = $this->groupingAccess->grouping($teacher, $id);
        $this->variants->keep($grouping, $request->name);

        return $this->views->view($grouping);
    }

    /** Deletes a saved version. */
    #[Route('/variants/{variant}', methods: ['DELETE'])]
    public function drop(#[CurrentUser] Teacher $teacher, string $id, string $variant): void
    {
        $this->variants->drop($this->groupingAccess->grouping($teacher, $id), $variant);
    }

    /** Brings a saved version back as the groups. */
    #[Route('/variants/{variant}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] Teacher $teacher, string $id, string $variant): void
    {
        $this->variants->restore($this->groupingAccess->grouping($teacher, $id), $variant);
    }
}
