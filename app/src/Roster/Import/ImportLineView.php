<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Import;

use FreshHuddle\App\Words\Words;
use FreshHuddle\Core\Message;
use FreshHuddle\Core\Roster\Import\ImportFate;
use FreshHuddle\Core\Roster\Import\ImportLine;
use FreshHuddle\Core\Roster\StudentRecord;

/**
 * A line of a list that is to be imported, and what becomes of it.
 */
final readonly class ImportLineView
{
    /**
     * @param list<string> $changes what changes of a student who is there; what was recognised of one who is new
     */
    public function __construct(
        public int $line,
        public string $shown,
        public string $name,
        public ImportFate $fate,
        public array $changes,
        public string $message,
    ) {
    }

    public static function fromLine(ImportLine $line, Words $words): self
    {
        $changes =
            ImportFate::Added === $line->fate && null !== $line->record
                ? self::recognised($line->record)
                : $line->changes;

        return new self(
            $line->line,
            $line->shown,
            $line->record->name ?? '',
            $line->fate,
            array_map($words->say(...), $changes),
            null === $line->message ? '' : $words->say($line->message),
        );
    }

    /**
     * @return list<Message> such as “table: Window” and “Level: 3”
     */
    private static function recognised(StudentRecord $record): array
    {
        $new = static fn (string|Message $what, string $to): Message => new Message('roster.change.new', [
            'what' => $what,
            'to' => $to,
        ]);
        $recognised = [];
        foreach (
            ['table' => $record->table, 'email' => $record->email, 'school_id' => $record->schoolId] as $field => $value
        ) {
            if (null !== $value && '' !== $value) {
                $recognised[] = $new(new Message('roster.field.'.$field), $value);
            }
        }
        foreach ($record->attributes as $name => $value) {
            $recognised[] = $new((string) $name, (string) $value);
        }
        if ([] !== ($record->tags ?? [])) {
            $recognised[] = $new(new Message('roster.field.tags'), implode(', ', $record->tags ?? []));
        }

        return $recognised;
    }
}
