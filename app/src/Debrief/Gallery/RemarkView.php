<?php

declare(strict_types=1);

namespace FreshHuddle\App\Debrief\Gallery;

/**
 * A remark beside a copy in the gallery.
 */
final readonly class RemarkView
{
    public function __construct(public string $id, public string $copy, public string $name, public string $text)
    {
    }

    public static function fromRemark(GalleryRemark $remark): self
    {
        return new self($remark->id, $remark->copy->id, $remark->student->name, $remark->text);
    }
}
