<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Live;

use FreshHuddle\Core\Rooms\SourceKind;

/**
 * The strongest evidence there can be of who is at a place.
 */
enum Observability: string
{
    /** The meeting service sees who is there. */
    case Service = 'service';
    /** That somebody followed the link is all that can be known. */
    case Link = 'link';
    /** A place in the building: whoever's page is alive is taken to be where it says. */
    case Page = 'page';

    public static function forSource(SourceKind $source): self
    {
        return $source->answers() ? self::Service : ($source->hasLink() ? self::Link : self::Page);
    }
}
