<?php

declare(strict_types=1);

namespace FreshHuddle\App\Stream;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Says which devices listen for some kinds of audience. An area that has devices or something to look at has one.
 */
#[AutoconfigureTag]
interface Listeners
{
    /**
     * @return array<value-of<AudienceKind>, string> a SELECT for each kind: the kind, the audience's id as text, and
     *     the channel of a device; its parameter is a list of ids
     */
    public static function queries(): array;
}
