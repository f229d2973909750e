<?php

declare(strict_types=1);

namespace FreshHuddle\App\Database;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Mapping\UniqueConstraint;

/**
 * What is kept and who keeps it, drawn from the mapping: a table an area and a diagram of all (Mermaid), for
 * docs/architecture/data.md.
 */
final readonly class DataPicture
{
    private const AREAS = [
        'Account',
        'Roster',
        'Grouping',
        'Lesson',
        'Rooms',
        'Materials',
        'Ready',
        'Live',
        'Debrief',
        'Record',
        'Worker',
    ];

    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function markdown(): string
    {
        $tables = [];
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $entity) {
            $tables[self::area($entity)][$entity->getTableName()] = $entity;
        }
        $text =
            "# What is kept, and who keeps it\n\nDrawn from the mapping by `bin/console huddle:data`; a test holds the two together.\n";
        $lines = ['erDiagram'];
        foreach (self::AREAS as $area) {
            $own = $tables[$area] ?? [];
            ksort($own);
            if ([] !== $own) {
                $text .= "\n## ".strtolower($area)."\n\n| table | holds | once |\n|---|---|---|\n";
            }
            foreach ($own as $name => $entity) {
                $text .= \sprintf("| %s | %s | %s |\n", $name, self::about($entity), self::once($entity));
                array_push($lines, ...$this->relations($entity));
            }
        }

        return $text."\n## How they hang together\n\n```mermaid\n".implode("\n    ", $lines)."\n```\n";
    }

    /**
     * @param ClassMetadata<object> $entity
     */
    private static function area(ClassMetadata $entity): string
    {
        return explode('\\', $entity->getName())[2];
    }

    /**
     * @param ClassMetadata<object> $entity
     *
     * @return string what the class says of itself
     */
    private static function about(ClassMetadata $entity): string
    {
        $doc = (string) $entity->getReflectionClass()->getDocComment();

        return trim((string) preg_replace(['~^/\*\*|\*/$~', '~^\s*\* ?~m', '~\s+~'], ['', '', ' '], $doc));
    }

    /**
     * @param ClassMetadata<object> $entity
     */
    private static function once(ClassMetadata $entity): string
    {
        $once = [implode(', ', $entity->getIdentifierColumnNames())];
        foreach ($entity->getReflectionClass()->getAttributes(UniqueConstraint::class) as $attribute) {
            $constraint = $attribute->newInstance();
            $where = $constraint->options['where'] ?? null;
            $once[] = implode(', ', $constraint->columns ?? []).(\is_string($where) ? " where {$where}" : '');
        }
        foreach ($entity->fieldMappings as $field) {
            if (true === $field->unique) {
                $once[] = $field->columnName;
            }
        }
        foreach ($entity->associationMappings as $association) {
            if ($association->isOneToOneOwningSide() && true !== $association->id) {
                $once[] = $association->joinColumns[0]->name;
            }
        }

        return implode('; ', $once);
    }

    /**
     * @param ClassMetadata<object> $entity
     *
     * @return list<string>
     */
    private function relations(ClassMetadata $entity): array
    {
        $lines = [];
        foreach ($entity->associationMappings as $association) {
            if ($association->isToOneOwningSide()) {
                $target = $this->em->getClassMetadata($association->targetEntity)->getTableName();
                $many = $association->isOneToOneOwningSide() ? 'o|' : 'o{';
                $lines[] = \sprintf(
                    '%s %s--%s %s : "%s"',
                    $target,
                    true === $association->joinColumns[0]->nullable ? '|o' : '||',
                    $many,
                    $entity->getTableName(),
                    $association->fieldName,
                );
            }
        }

        return $lines;
    }
}
