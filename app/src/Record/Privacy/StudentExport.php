<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Privacy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Http\File\Zip;
use FreshHuddle\App\Materials\Cupboard\File\OriginalPackage;
use FreshHuddle\App\Materials\Media\CopyMedia;
use FreshHuddle\App\Materials\Media\MediaShelf;
use FreshHuddle\App\Roster\Student;

/**
 * Everything about one student in one file: an archive of `everything.json`, and of the pictures and recordings they
 * have put in.
 */
final readonly class StudentExport
{
    public function __construct(
        private EntityManagerInterface $em,
        private EverythingReader $reader,
        private MediaShelf $shelf,
    ) {
    }

    /**
     * @return string the bytes of a zip file
     */
    public function zip(Student $student): string
    {
        $files = [
            'everything.json' => json_encode(
                [
                    'format' => 'fresh-huddle/student',
                    'version' => 1,
                    'class' => $student->class->name,
                    'id' => $student->id,
                ] + $this->reader->read($student),
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            )."\n",
        ];
        foreach ($this->em->getRepository(CopyMedia::class)->findBy(['by' => $student]) as $use) {
            $files['media/'.$use->media->id.'.'.OriginalPackage::ending($use->media)] = $this->shelf->bytes($use->media);
        }

        return Zip::fromFiles($files);
    }
}
