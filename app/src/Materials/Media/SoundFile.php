<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media;

use FreshHuddle\App\Materials\Exception\MaterialsRefused;

/**
 * Recordings are told by what is in them. What a browser has just recorded does not say how long it is; then its size
 * must do.
 */
final readonly class SoundFile
{
    private const LONGEST = 180;
    /** A second more than the longest: a recording ends with the second it was stopped in. */
    private const GRACE = 1.5;
    /** What getID3 calls them, and pages. */
    private const TYPES = [
        'mp3' => 'audio/mpeg',
        'ogg' => 'audio/ogg',
        'quicktime' => 'audio/mp4',
        'mp4' => 'audio/mp4',
        'matroska' => 'audio/webm',
        'webm' => 'audio/webm',
    ];

    /**
     * @return ReadMedia|null null if it is no recording of a kind that can be kept
     *
     * @throws MaterialsRefused if it is one, and is too long, or shows something as well
     */
    public function read(string $bytes): ?ReadMedia
    {
        if (1 !== preg_match('/^(\x1A\x45\xDF\xA3|OggS|ID3|\xFF[\xE2-\xFF]|.{4}ftyp)/s', $bytes)) {
            return null;
        }
        if ('ftyp' === substr($bytes, 4, 4) && str_contains($bytes, 'moof')) {
            return $this->pieces($bytes);
        }
        $file = tempnam(sys_get_temp_dir(), 'fh-sound');
        if (false === $file) {
            throw new \RuntimeException('There is no room for a file that came in.');
        }
        set_error_handler(static fn (): bool => true); // it warns of what it reads past the end of broken files
        try {
            file_put_contents($file, $bytes);
            $reader = new \getID3();
            $reader->option_tags_html = $reader->option_extra_info = false;
            $found = $reader->analyze($file);
        } catch (\Throwable) {
            return null; // whatever a broken file breaks in the reader: it is no recording that can be kept
        } finally {
            restore_error_handler();
            unlink($file);
        }
        $format = $found['fileformat'] ?? null;
        $type = \is_string($format) ? self::TYPES[$format] ?? null : null;
        if (null === $type || !isset($found['audio']) || !SoundWhole::check($bytes, $type)) {
            return null;
        }
        if (\is_array($found['video'] ?? null) && isset($found['video']['resolution_x'])) {
            throw MaterialsRefused::unusable('materials.media.film', 'content');
        }
        $seconds = $found['playtime_seconds'] ?? 0;
        $seconds = is_numeric($seconds) && is_finite((float) $seconds) ? max(0.0, (float) $seconds) : 0.0;
        if ($seconds > self::LONGEST + self::GRACE) {
            throw MaterialsRefused::unusable(
                'materials.media.too_long',
                'content',
                ['most' => intdiv(self::LONGEST, 60)],
            );
        }

        return new ReadMedia(MediaKind::Sound, $type, $bytes, seconds: (int) round($seconds));
    }

    /**
     * MP4 in pieces, as browsers record it (ISO 14496-12, movie fragments): what its tracks are stands in their
     * handlers.
     */
    private function pieces(string $bytes): ?ReadMedia
    {
        preg_match_all('/hdlr.{8}([a-z]{4})/s', substr($bytes, 0, 20_000), $handlers);
        if (!\in_array('soun', $handlers[1], true) || !SoundWhole::check($bytes, 'audio/mp4')) {
            return null;
        }

        return ['soun'] === array_values(array_unique($handlers[1]))
            ? new ReadMedia(MediaKind::Sound, 'audio/mp4', $bytes)
            : throw MaterialsRefused::unusable('materials.media.film', 'content');
    }
}
