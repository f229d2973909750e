<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Materials\Media;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\MediaFile;
use FreshHuddle\App\Materials\Media\MediaKind;
use FreshHuddle\App\Materials\Media\PictureFile;
use FreshHuddle\App\Materials\Media\SoundFile;
use FreshHuddle\App\Materials\Media\SoundWhole;
use FreshHuddle\App\Tests\Support\Files;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What a file is, is told by what is in it; what is kept of a picture is its pixels and nothing else.
 */
final class MediaFileTest extends TestCase
{
    private MediaFile $files;

    protected function setUp(): void
    {
        $this->files = new MediaFile(new PictureFile(), new SoundFile());
    }

    /**
     * @return iterable<string, array{'jpeg'|'png'|'webp'}>
     */
    public static function pictures(): iterable
    {
        yield 'JPEG' => ['jpeg'];
        yield 'PNG' => ['png'];
        yield 'WebP' => ['webp'];
    }

    /**
     * @param 'jpeg'|'png'|'webp' $type
     */
    #[DataProvider('pictures')]
    public function test_a_picture_is_drawn_anew_and_stays_of_its_kind(string $type): void
    {
        $read = $this->files->read(Files::picture($type));
        self::assertSame(
            [MediaKind::Picture, "image/{$type}", 40, 20],
            [$read->kind, $read->type, $read->width, $read->height],
        );
        self::assertGreaterThan(200, self::at($read->bytes, 5, 10)['red']);
        self::assertGreaterThan(200, self::at($read->bytes, 35, 10)['blue']);
    }

    public function test_where_a_photo_was_taken_is_gone_and_it_stands_upright(): void
    {
        $photo = Files::picture('jpeg', 40, 20, Files::exif('54.1N 13.4E, school yard'));
        self::assertStringContainsString('school yard', $photo);
        $read = $this->files->read($photo);
        self::assertStringNotContainsString('school yard', $read->bytes);
        self::assertStringNotContainsString('Exif', $read->bytes);
        self::assertSame([20, 40], [$read->width, $read->height], 'it was turned as the camera said');
        self::assertGreaterThan(200, self::at($read->bytes, 10, 5)['red'], 'what was left is above');
    }

    public function test_what_was_written_behind_a_picture_or_in_its_text_is_gone(): void
    {
        $png = Files::picture('png');
        $text = "tEXtComment\0<script>alert(1)</script>";
        $chunk = pack('N', \strlen($text) - 4).$text.pack('N', crc32($text));
        $read = $this->files->read(substr($png, 0, 33).$chunk.substr($png, 33).'<?php echo 1;');
        self::assertStringNotContainsString('script', $read->bytes);
        self::assertStringNotContainsString('php', $read->bytes);
    }

    public function test_a_large_picture_is_kept_as_large_as_a_screen_shows_it(): void
    {
        $read = $this->files->read(Files::picture('jpeg', 4_000, 1_000));
        self::assertSame([2_000, 500], [$read->width, $read->height]);
    }

    /**
     * @return iterable<string, array{string, string}>
     */
    public static function unusable(): iterable
    {
        $png = Files::picture('png');
        $sized = static fn (int $width, int $height): string => substr($png, 0, 16).
            pack('NN', $width, $height).
            "\x08\x02\0\0\0".
            pack('N', crc32('IHDR'.pack('NN', $width, $height)."\x08\x02\0\0\0")).
            substr($png, 33);
        yield 'nothing' => ['', 'materials.media.unknown'];
        yield 'words' => ['I am a picture, really.', 'materials.media.unknown'];
        yield 'a page' => ['<html><script>alert(1)</script></html>', 'materials.media.unknown'];
        yield 'a drawing that can run' => [
            '<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>',
            'materials.media.unknown',
        ];
        yield 'a GIF' => [
            "GIF89a\x01\0\x01\0\x80\0\0\0\0\0\xFF\xFF\xFF!\xF9\x04\x01\0\0\0\0,\0\0\0\0\x01\0\x01\0\0\x02\x02D\x01\0;",
            'materials.media.unknown',
        ];
        yield '20,000 pixels wide' => [$sized(20_000, 10), 'materials.media.too_many_pixels'];
        yield 'a bomb' => [$sized(11_000, 11_000), 'materials.media.too_many_pixels'];
        yield 'no pixels at all' => [$sized(0, 0), 'materials.media.too_many_pixels'];
        yield 'a head without a body' => [substr($png, 0, 40), 'materials.media.broken_picture'];
        yield 'the head of a photo' => [substr(Files::picture('jpeg'), 0, 170), 'materials.media.unknown'];
        yield 'too many bytes' => [str_repeat('x', 5_000_001), 'materials.media.too_large'];
        yield 'the first bytes of a recording' => ["OggS\0\x02", 'materials.media.unknown'];
        yield 'a recording in name alone' => ['ID3'.str_repeat('nothing to hear ', 100), 'materials.media.unknown'];
        yield 'waves' => [
            'RIFF'.pack('V', 36)."WAVEfmt \x10\0\0\0\x01\0\x01\0\x40\x1F\0\0\x40\x1F\0\0\x01\0\x08\0data\0\0\0\0",
            'materials.media.unknown',
        ];
        yield 'more than three minutes' => [Files::mp3(200), 'materials.media.too_long'];
    }

    #[DataProvider('unusable')]
    public function test_what_cannot_be_kept_is_refused_with_the_reason(string $bytes, string $why): void
    {
        try {
            $this->files->read($bytes);
            self::fail('It was taken.');
        } catch (MaterialsRefused $e) {
            self::assertSame($why, $e->says->code);
        }
    }

    public function test_a_recording_is_told_by_its_content_and_its_length_is_known(): void
    {
        $read = $this->files->read(Files::mp3(4));
        self::assertSame(
            [MediaKind::Sound, 'audio/mpeg', 4, 0],
            [$read->kind, $read->type, $read->seconds, $read->width],
        );
        self::assertSame(180, $this->files->read(Files::mp3(180))->seconds, 'three minutes are not too long');
    }

    public function test_what_a_browser_records_in_pieces_is_kept_if_it_can_only_be_heard(): void
    {
        $box = static fn (string $name, string $inside): string => pack('N', \strlen($inside) + 8).$name.$inside;
        $recorded = static fn (string ...$tracks): string => $box('ftyp', 'isom'.pack('N', 512).'isom').
            $box(
                'moov',
                implode(
                    '',
                    array_map(
                        static fn (string $track): string => $box(
                            'trak',
                            $box('mdia', $box('hdlr', str_repeat("\0", 8).$track.str_repeat("\0", 12))),
                        ),
                        $tracks,
                    ),
                ),
            ).
            $box('moof', 'pieces').
            $box('mdat', 'sound');
        $read = $this->files->read($recorded('soun'));
        self::assertSame([MediaKind::Sound, 'audio/mp4', 0], [$read->kind, $read->type, $read->seconds]);
        foreach ([['soun', 'vide'], ['vide'], []] as $tracks) {
            try {
                $this->files->read($recorded(...$tracks));
                self::fail('It was taken: '.implode(', ', $tracks));
            } catch (MaterialsRefused) {
                $this->addToAssertionCount(1);
            }
        }
    }

    #[DataProvider('recordings')]
    public function test_a_recording_is_one_from_its_first_byte_to_its_last(string $bytes, string $type): void
    {
        self::assertSame($type, $this->files->read($bytes)->type);
        foreach (
            [
                'with something hung on it' => $bytes.str_repeat('<script>alert(1)</script>', 400),
                'cut short' => substr($bytes, 0, -7),
            ] as $how => $broken
        ) {
            if ('cut short' === $how && 'audio/mpeg' === $type) {
                continue; // it is heard to where it ends
            }
            self::assertFalse(SoundWhole::check($broken, $type), $how);
            try {
                $this->files->read($broken);
                self::fail("It was taken {$how}.");
            } catch (MaterialsRefused) {
                $this->addToAssertionCount(1);
            }
        }
        $middle = intdiv(\strlen($bytes), 2);
        self::assertFalse(
            SoundWhole::check(
                substr($bytes, 0, $middle).str_repeat('no sound ', 1_200).substr($bytes, $middle),
                $type,
            ),
            'with something in the middle',
        );
    }

    /**
     * @return iterable<string, array{string, string}>
     */
    public static function recordings(): iterable
    {
        yield 'MP3' => [Files::mp3(2), 'audio/mpeg'];
        yield 'MP3 with tags before and behind it' => [
            "ID3\x04\0\0\0\0\0\x0A".str_repeat("\0", 10).Files::mp3(2).'TAG'.str_repeat("\0", 125),
            'audio/mpeg',
        ];
        yield 'WebM as a browser records it' => [
            (string) file_get_contents(__DIR__.'/files/hum.webm'),
            'audio/webm',
        ];
        yield 'MP4 as a browser records it' => [(string) file_get_contents(__DIR__.'/files/hum.mp4'), 'audio/mp4'];
    }

    public function test_whatever_bytes_come_in_it_is_read_or_refused(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(7));
        foreach ([Files::picture('jpeg'), Files::picture('png'), Files::picture('webp'), Files::mp3(1)] as $whole) {
            for ($i = 0; $i < 60; ++$i) {
                $bytes = $whole;
                for ($k = $random->getInt(1, 12); $k > 0; --$k) {
                    $bytes[$random->getInt(0, \strlen($bytes) - 1)] = $random->getBytes(1);
                }
                try {
                    self::assertContains(
                        $this->files->read(substr($bytes, 0, $random->getInt(1, \strlen($bytes))))->kind,
                        MediaKind::cases(),
                    );
                } catch (MaterialsRefused) {
                    $this->addToAssertionCount(1);
                }
            }
        }
    }

    /**
     * @return array<string, int>
     */
    private static function at(string $bytes, int $x, int $y): array
    {
        $picture = imagecreatefromstring($bytes);
        self::assertNotFalse($picture);

        return imagecolorsforindex($picture, (int) imagecolorat($picture, $x, $y));
    }
}
