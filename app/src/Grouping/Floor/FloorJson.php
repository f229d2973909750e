<?php

declare(strict_types=1);

namespace FreshHuddle\App\Grouping\Floor;

use FreshHuddle\Core\Grouping\Floor;
use FreshHuddle\Core\Grouping\Group;

/**
 * A floor as it stands in the database: {"groups": [{"id", "name", "mark", "students": [id, …]}, …], "fixed": [id, …]}.
 */
final class FloorJson
{
    public static function write(Floor $floor): string
    {
        return json_encode(self::bag($floor), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }

    public static function read(string $json): Floor
    {
        $data = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);

        return self::ofBag(\is_array($data) ? $data : []);
    }

    /**
     * @return array<string, mixed>
     */
    public static function bag(Floor $floor): array
    {
        return [
            'groups' => array_map(
                static fn (Group $group): array => [
                    'id' => $group->id,
                    'name' => $group->name,
                    'mark' => $group->mark,
                    'students' => $group->students,
                ],
                $floor->groups,
            ),
            'fixed' => $floor->fixed,
        ];
    }

    /**
     * @param array<array-key, mixed> $bag
     */
    public static function ofBag(array $bag): Floor
    {
        $groups = [];
        foreach (self::list($bag['groups'] ?? []) as $group) {
            \assert(
                \is_array($group)
                    && \is_string($group['id'])
                    && \is_string($group['name'])
                    && \is_int($group['mark']),
            );
            $groups[] = new Group($group['id'], $group['name'], self::ids($group['students'] ?? []), $group['mark']);
        }

        return new Floor($groups, self::ids($bag['fixed'] ?? []));
    }

    /**
     * @return list<string>
     */
    private static function ids(mixed $value): array
    {
        return array_values(array_filter(self::list($value), \is_string(...)));
    }

    /**
     * @return list<mixed>
     */
    private static function list(mixed $value): array
    {
        return \is_array($value) ? array_values($value) : [];
    }
}
