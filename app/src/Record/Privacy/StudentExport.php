<?php

declare(strict_types=1);

namespace FreshHuddle\App\Record\Privacy;

use Doctrine\ORM\EntityManagerInterface;
use FreshHuddle\App\Http\File\OpenFormat;
use FreshHuddle\App\Http\File\Zip;
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
        $everything = OpenFormat::write(
            'fresh-huddle/student',
            ['class' => $student->class->name, 'id' => $student->id] + $this->reader->read($student),
        );

        return Zip::fromFiles(
            $this->shelf->files(
                ['everything.json' => $everything],
                array_map(
                    static fn (CopyMedia $use): string => $use->media->id,
                    $this->em->getRepository(CopyMedia::class)->findBy(['by' => $student]),
                ),
            ),
        );
    }
}
