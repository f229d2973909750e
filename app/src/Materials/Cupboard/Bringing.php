<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;

/**
 * Brings a file into the cupboard: a text, or an archive of a text and its pictures.
 */
final readonly class Bringing
{
    public function __construct(private OriginalFile $files, private OriginalPackage $packages, private Cupboard $cupboard)
    {
    }

    /**
     * @throws MaterialsRefused if it cannot be read, or holds a picture that cannot be kept
     */
    public function bring(Teacher $teacher, ImportOriginal $file): Master
    {
        if (null === $file->package) {
            return '' === trim($file->text) ? throw MaterialsRefused::unusable('materials.file_of_another_kind', 'text') : $this->cupboard->add($teacher, $this->files->read($file));
        }
        $bytes = base64_decode($file->package, true);
        if (false === $bytes) {
            throw MaterialsRefused::unusable('materials.file_of_another_kind', 'package');
        }
        ['text' => $text, 'media' => $media] = $this->packages->read($bytes);
        $save = $this->files->read(new ImportOriginal($file->name, $text));
        $shown = array_intersect_key($media, array_flip($this->cupboard->mediaIn($save)));

        return $this->cupboard->add($teacher, $save, $this->packages->keep($teacher, $bytes, $shown));
    }
}
