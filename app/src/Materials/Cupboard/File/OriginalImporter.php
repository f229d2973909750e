<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Cupboard\File;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Materials\Cupboard\Cupboard;
use FreshHuddle\App\Materials\Cupboard\SaveOriginal;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Job\JobKind;
use FreshHuddle\App\Materials\Job\Jobs;
use FreshHuddle\App\Materials\Job\JobView;

/**
 * Brings a file into the cupboard: a text, or an archive of a text and its pictures.
 */
final readonly class OriginalImporter
{
    public function __construct(
        private OriginalFile $files,
        private OriginalPackage $packages,
        private Cupboard $cupboard,
        private Jobs $jobs,
    ) {
    }

    /**
     * @return Imported the original; or a job that makes it, where there are many pictures in it
     *
     * @throws MaterialsRefused if it cannot be read, or holds a picture that cannot be kept
     */
    public function import(Teacher $teacher, ImportOriginal $file): Imported
    {
        if (null === $file->package) {
            return '' === trim($file->text)
                ? throw MaterialsRefused::unusable('materials.file_of_another_kind', 'text')
                : new Imported($this->cupboard->add($teacher, $this->files->read($file))->id, null);
        }
        $bytes = base64_decode($file->package, true);
        if (false === $bytes) {
            throw MaterialsRefused::unusable('materials.file_of_another_kind', 'package');
        }
        ['save' => $save, 'shown' => $shown] = $this->preview($file->name, $bytes);
        if (\count($shown) > ImportJob::AT_ONCE) {
            return new Imported(
                null,
                JobView::fromJob(
                    $this->jobs->begin(
                        $teacher,
                        JobKind::Import,
                        $file->name,
                        $bytes,
                        (int) ceil(\count($shown) / ImportJob::AT_ONCE),
                    ),
                ),
            );
        }

        return new Imported(
            $this->cupboard->add($teacher, $save, $this->packages->keep($teacher, $bytes, $shown))->id,
            null,
        );
    }

    /**
     * What an archive holds.
     *
     * @return array{save: SaveOriginal, shown: array<string, string>} the original, and names in the archive of what it
     *     shows, by the ids that stand in it
     *
     * @throws MaterialsRefused if it is no such archive
     */
    public function preview(string $name, string $bytes): array
    {
        ['text' => $text, 'media' => $media] = $this->packages->read($bytes);
        $save = $this->files->read(new ImportOriginal($name, $text));

        return ['save' => $save, 'shown' => array_intersect_key($media, array_flip($this->cupboard->mediaIn($save)))];
    }
}
