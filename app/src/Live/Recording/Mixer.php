<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\Recording;

use FreshHuddle\App\Settings;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\Exception\ExceptionInterface;
use Symfony\Component\Process\Process;

/**
 * Puts what everybody in a room has said, which the media server keeps in a file for each microphone, into one file of
 * sound. Done by programs of their own: the media server's tool for its files, `opus-tools` and `sox`.
 */
final readonly class Mixer
{
    /** Seconds that one step may take. */
    private const PATIENCE = 3_600;
    /** Samples a second: speech. */
    private const RATE = 16_000;
    /** The media server's name of a file: room, person, microseconds since 1970, kind. */
    private const NAME = '/^videoroom-(o[0-9a-f]{40})-user-[0-9A-Za-z.-]+-([0-9]{16})-(audio|video)-[0-9]+\.mjr$/D';
    /** A file that was begun so little before a recording belongs to it: two clocks. Milliseconds. */
    private const SLACK = 2_000;

    public function __construct(#[Autowire('%env(MEDIA_RECORDINGS)%')] private string $folder)
    {
    }

    /**
     * @param int $from milliseconds since 1970
     * @param int $to   milliseconds since 1970
     *
     * @return string|null an Ogg Opus file that begins when the recording does; null where nobody has said anything
     *
     * @throws MixingFailed
     */
    public function mix(string $room, int $from, int $to): ?string
    {
        $folder = Settings::folder().'/tmp/mix-'.bin2hex(random_bytes(6));
        if (!@mkdir($folder, 0o700) && !is_dir($folder)) {
            throw MixingFailed::at('folder', "{$folder} cannot be made");
        }
        try {
            $voices = [];
            foreach ($this->files($room, $from, $to) as $path => [$began, $kind]) {
                $name = $folder.'/'.\count($voices);
                $voice = 'audio' === $kind ? $this->voice($path, $name, max(0, $began - $from)) : null;
                if (null !== $voice) {
                    $voices[] = $voice;
                }
            }

            return [] === $voices ? null : $this->together($voices, $folder);
        } finally {
            array_map(unlink(...), self::paths($folder.'/*'));
            rmdir($folder);
        }
    }

    /**
     * One at a time on this machine: it takes a processor for minutes.
     *
     * @return resource|null closed, it lets the next one begin; null: another one is being made
     *
     * @throws MixingFailed
     */
    public function lock(): mixed
    {
        $path = Settings::folder().'/tmp/mixing';
        $lock = @fopen($path, 'c');
        if (false === $lock) {
            throw MixingFailed::at('lock', "{$path} cannot be opened");
        }
        // Whoever makes it first is not always the one who runs the worker.
        @chmod($path, 0o666);

        return flock($lock, \LOCK_EX | \LOCK_NB) ? $lock : null;
    }

    /**
     * Throws away what the media server has kept of it, pictures as well.
     */
    public function forget(string $room, int $from, int $to): void
    {
        array_map(unlink(...), array_keys($this->files($room, $from, $to)));
    }

    /**
     * Throws away what no recording has wanted for so long.
     *
     * @param int $before seconds since 1970
     */
    public function forgetOld(int $before): void
    {
        foreach (self::paths($this->folder.'/videoroom-*') as $path) {
            if (filemtime($path) < $before) {
                unlink($path);
            }
        }
    }

    /**
     * @return array<string, array{int, string}> when each was begun, in milliseconds since 1970, and what is in it; the
     *     oldest first
     */
    private function files(string $room, int $from, int $to): array
    {
        $files = [];
        foreach (self::paths("{$this->folder}/videoroom-{$room}-user-*.mjr") as $path) {
            if (1 !== preg_match(self::NAME, basename($path), $part)) {
                continue;
            }
            $began = intdiv((int) $part[2], 1_000);
            if ($began >= $from - self::SLACK && $began <= $to) {
                $files[$path] = [$began, $part[3]];
            }
        }
        uasort($files, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return $files;
    }

    /**
     * @param int $wait milliseconds of silence before it
     *
     * @return string|null the path of what one microphone has heard; null: nothing
     *
     * @throws MixingFailed
     */
    private function voice(string $path, string $name, int $wait): ?string
    {
        $filled = MediaFile::filled((string) file_get_contents($path), intdiv($wait, 20));
        if (null === $filled) {
            return null;
        }
        file_put_contents("{$name}.mjr", $filled);
        $made = $this->run(['janus-pp-rec', "{$name}.mjr", "{$name}.opus"], true);
        unlink("{$name}.mjr");

        return $made && is_file("{$name}.opus") ? "{$name}.opus" : null;
    }

    /**
     * @param non-empty-list<string> $voices paths
     *
     * @throws MixingFailed
     */
    private function together(array $voices, string $folder): string
    {
        $all = $folder.'/all.wav';
        // As loud as each was alone; where two speak at once, no louder than can be heard. Each is decoded as it is
        // needed: as waves, an hour of a class would fill a disk.
        $words = 1 === \count($voices) ? ['sox'] : ['sox', '-m'];
        foreach ($voices as $voice) {
            $decoded = '|opusdec --quiet --rate '.self::RATE.' --force-wav '.escapeshellarg($voice).' -';
            array_push($words, '-v', '1', '-t', 'wav', '--ignore-length', $decoded);
        }
        $this->run([...$words, '-c', '1', $all, 'gain', '-l', '0']);
        $this->run(['opusenc', '--quiet', '--speech', '--bitrate', '24', $all, $folder.'/all.opus']);
        $sound = file_get_contents($folder.'/all.opus');

        return \is_string($sound) && '' !== $sound ? $sound : throw MixingFailed::at('opusenc', 'nothing came of it');
    }

    /**
     * @param non-empty-list<string> $words
     *
     * @return bool whether it went well
     *
     * @throws MixingFailed
     */
    private function run(array $words, bool $mayFail = false): bool
    {
        try {
            $process = new Process($words, timeout: self::PATIENCE);
            $process->run();
        } catch (ExceptionInterface $e) {
            throw MixingFailed::at($words[0], $e->getMessage());
        }
        if (127 === $process->getExitCode()) {
            throw MixingFailed::at($words[0], 'the program is not installed');
        }

        return $process->isSuccessful() || $mayFail
            ? $process->isSuccessful()
            : throw MixingFailed::at($words[0], $process->getErrorOutput());
    }

    /**
     * @return list<string>
     */
    private static function paths(string $pattern): array
    {
        $paths = glob($pattern);

        return false === $paths ? [] : $paths;
    }
}
