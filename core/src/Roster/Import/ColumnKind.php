<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Import;

/**
 * What a column of a list holds.
 */
enum ColumnKind: string
{
    case Name = 'name';
    case Given = 'given';
    case Family = 'family';
    /** The number or id the school knows a student by. */
    case SchoolId = 'schoolId';
    /** Where they get mail. */
    case Email = 'email';
    case Table = 'table';
    /** Tags, parted by commas or semicolons. */
    case Tags = 'tags';
    /** The heading is a tag; a cross or a yes gives it. */
    case Tag = 'tag';
    case Attribute = 'attribute';
    case Nothing = 'nothing';
}
