<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Materials;

/**
 * A row of the hand-out plan: what each group of a round gets of one original.
 */
final readonly class HandOutRow
{
    /**
     * @param HandOutWay                                             $way       of groups of which nothing else is said
     * @param array<string, array{way: HandOutWay, variant: string}> $cells     by group's id
     * @param string                                                 $variant of groups of which nothing else is said;
     *     '' for the plain form
     * @param string|null                                            $opensWith the segment it opens with, in which
     *     everybody works alone; null: it opens with its round
     * @param VariantsBy|null                                        $by goes before the variant of a group, where it
     *     says something
     */
    public function __construct(
        public string $original,
        public HandOutWay $way,
        public array $cells = [],
        public string $variant = '',
        public ?VariantsBy $by = null,
        public ?string $opensWith = null,
    ) {
    }

    /**
     * @return array{way: HandOutWay, variant: string}
     */
    public function cell(string $group): array
    {
        return $this->cells[$group] ?? ['way' => $this->way, 'variant' => $this->variant];
    }

    /**
     * The copies that must be: for each the group or the student it belongs to (neither: the class), and in which
     * variant.
     *
     * @param array<string, list<string>>                       $groups members by group's id, in order
     * @param array<string, array<array-key, int|float|string>> $attributes values by student and attribute
     *
     * @return list<CopyDue>
     *
     * Complexity: O(students)
     */
    public function copies(array $groups, array $attributes = []): array
    {
        $due = [];
        foreach ($groups as $group => $members) {
            ['way' => $way, 'variant' => $variant] = $this->cell($group);
            switch ($way) {
                case HandOutWay::Read:
                case HandOutWay::Together:
                    $due[] = new CopyDue(
                        $way,
                        $group,
                        null,
                        $this->by?->variantFor($members, $attributes) ?? $variant,
                    );
                    break;
                case HandOutWay::Each:
                    foreach ($members as $student) {
                        $due[] = new CopyDue(
                            $way,
                            null,
                            $student,
                            $this->by?->variantFor([$student], $attributes) ?? $variant,
                        );
                    }
                    break;
                case HandOutWay::All:
                    $due['all'] ??= new CopyDue($way, null, null, $variant);
                    break;
                case HandOutWay::Nothing:
            }
        }

        return array_values($due);
    }
}
