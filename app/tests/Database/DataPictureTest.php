<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Database;

use FreshHuddle\App\Database\DataPicture;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/**
 * The drawing of the data is drawn from the mapping.
 */
final class DataPictureTest extends KernelTestCase
{
    public function test_the_picture_in_the_docs_is_what_the_entities_say(): void
    {
        $picture = self::getContainer()->get(DataPicture::class);
        self::assertInstanceOf(DataPicture::class, $picture);
        self::assertStringEqualsFile(
            \dirname(__DIR__, 3).'/docs/architecture/data.md',
            $picture->markdown(),
            'stale: bin/console huddle:data > docs/architecture/data.md',
        );
    }

    public function test_every_table_says_who_writes_it_and_what_it_is(): void
    {
        $picture = self::getContainer()->get(DataPicture::class);
        self::assertInstanceOf(DataPicture::class, $picture);
        self::assertStringNotContainsString('|  |', $picture->markdown());
    }
}
