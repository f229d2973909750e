<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping;

use Doctrine\DBAL\Connection;
use FreshHuddle\App\Database\Row;
use FreshHuddle\App\Grouping\Floor\FloorJson;
use FreshHuddle\App\Grouping\Floor\FloorStore;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Grouping\Group;
use Symfony\Component\Uid\Uuid;

/**
 * Floors laid aside, to be held against another and taken up again.
 */
final readonly class Variants
{
    private const MOST = 12;

    public function __construct(private Connection $db, private FloorStore $floors, private Arranger $arranger)
    {
    }

    /**
     * @throws Problem 422 if too many lie there already
     */
    public function keep(Grouping $grouping, string $name): void
    {
        if (\count($this->rows($grouping)) >= self::MOST) {
            throw new Problem(422, \sprintf('%d variants lie here already. Throw one away first.', self::MOST), 'name');
        }
        $this->db->insert('floor_variant', ['id' => Uuid::v7()->toRfc4122(), 'grouping_id' => $grouping->id, 'name' => trim($name), 'floor' => FloorJson::write($this->floors->now($grouping->id))]);
    }

    public function drop(Grouping $grouping, string $variant): void
    {
        $this->db->delete('floor_variant', ['id' => $variant, 'grouping_id' => $grouping->id]);
    }

    /**
     * @return list<VariantView> with how each stands against the goals
     */
    public function of(Grouping $grouping, DeskSettings $settings): array
    {
        return array_map(function (Row $row) use ($grouping, $settings): VariantView {
            $floor = FloorJson::read($row->text('floor'));

            return new VariantView(
                $row->text('id'),
                $row->text('name'),
                array_map(static fn (Group $group): ProposedGroup => new ProposedGroup($group->id, $group->name, $group->students), $floor->groups),
                $this->arranger->standings($grouping, $floor, $settings)->goals,
            );
        }, $this->rows($grouping));
    }

    /**
     * @return list<Row>
     */
    private function rows(Grouping $grouping): array
    {
        return Row::all($this->db->fetchAllAssociative('SELECT id, name, floor FROM floor_variant WHERE grouping_id = ? ORDER BY id', [$grouping->id]));
    }
}
