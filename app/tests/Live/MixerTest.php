<?php

declare(strict_types=1);

namespace FreshHuddle\App\Tests\Live;

use FreshHuddle\App\Live\Recording\Mixer;
use FreshHuddle\App\Live\Recording\MixingFailed;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * What several microphones have heard, each in a file of the media server's, becomes one file in which everything is
 * heard when it was said.
 */
final class MixerTest extends TestCase
{
    private const ROOM = 'o0123456789abcdef0123456789abcdef01234567';
    private const BEGAN = 1_796_000_000_000;
    /** Packets of 20 ms. */
    private const SECOND = 50;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/mixer-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->left());
        rmdir($this->folder);
    }

    public function test_two_who_speak_one_after_the_other_are_heard_one_after_the_other(): void
    {
        $this->voice('ada', 0, [[0, 1]]);
        $this->voice('ben', 2_000, [[0, 1]]);
        self::assertSame([true, false, true], $this->loudSeconds($this->mix(3_000)));
    }

    public function test_whoever_is_silent_for_a_while_speaks_again_when_they_did(): void
    {
        // Silence is not sent.
        $this->voice('ada', 0, [[0, 1], [2, 1]]);
        self::assertSame([true, false, true], $this->loudSeconds($this->mix(3_000)));
    }

    public function test_two_at_once_are_one_second_and_somebody_who_was_let_in_twice_is_heard_twice(): void
    {
        $this->voice('ada', 0, [[0, 1]]);
        $this->voice('ben', 0, [[0, 1]]);
        $this->voice('ada', 1_000, [[0, 1]]);
        self::assertSame([true, true], $this->loudSeconds($this->mix(2_000)));
    }

    public function test_nothing_comes_of_nobody_of_silence_and_of_other_rooms_and_times(): void
    {
        self::assertNull($this->mix(3_000));
        $this->voice('ada', 0, []);
        $this->voice('ben', -60_000, [[0, 1]]);
        $this->voice('chi', 60_000, [[0, 1]]);
        $this->voice('dov', 0, [[0, 1]], 'o'.str_repeat('f', 40));
        $this->voice('eni', 0, [[0, 1]], kind: 'video');
        file_put_contents("{$this->folder}/videoroom-".self::ROOM.'-user-fay-1796000000000000-audio-0.mjr.begun', 'x');
        self::assertNull($this->mix(3_000));
    }

    public function test_a_file_that_is_nonsense_costs_one_voice(): void
    {
        $this->voice('ada', 0, [[0, 1]]);
        foreach (['', 'MJR00002', random_bytes(5_000), str_repeat("\0", 2_000)] as $i => $nonsense) {
            file_put_contents($this->path("x{$i}", $i), $nonsense);
        }
        self::assertSame([true], $this->loudSeconds($this->mix(1_000)));
    }

    public function test_what_was_taken_is_thrown_away_and_nothing_else(): void
    {
        $this->voice('ada', 0, [[0, 1]]);
        $this->voice('ada', 0, [], kind: 'video');
        $this->voice('ben', 60_000, [[0, 1]]);
        $mixer = new Mixer($this->folder);
        $mixer->forget(self::ROOM, self::BEGAN, self::BEGAN + 1_000);
        self::assertCount(1, $this->left());
        $mixer->forgetOld(time() - 60);
        self::assertCount(1, $this->left());
        $mixer->forgetOld(time() + 60);
        self::assertSame([], $this->left());
    }

    public function test_where_a_program_is_missing_that_is_said(): void
    {
        $this->voice('ada', 0, [[0, 1]]);
        $path = getenv('PATH');
        putenv('PATH=/nowhere');
        try {
            $this->expectException(MixingFailed::class);
            $this->mix(1_000);
        } finally {
            putenv("PATH={$path}");
        }
    }

    /**
     * @return list<string> files that are there
     */
    private function left(): array
    {
        $paths = glob($this->folder.'/*');

        return false === $paths ? [] : $paths;
    }

    private function mix(int $lasts): ?string
    {
        return (new Mixer($this->folder))->mix(self::ROOM, self::BEGAN, self::BEGAN + $lasts);
    }

    private function path(string $person, int $after, string $room = self::ROOM, string $kind = 'audio'): string
    {
        return "{$this->folder}/videoroom-{$room}-user-{$person}-".(self::BEGAN + $after)."000-{$kind}-0.mjr";
    }

    /**
     * Writes what the media server would have kept: a head, and packets as they came.
     *
     * @param list<array{int, int}> $speaks seconds: from, how many
     */
    private function voice(
        string $person,
        int $after,
        array $speaks,
        string $room = self::ROOM,
        string $kind = 'audio',
    ): void {
        $at = (self::BEGAN + $after) * 1_000;
        $head = json_encode(['t' => 'a', 'c' => 'opus', 's' => $at, 'u' => $at], \JSON_THROW_ON_ERROR);
        $file = 'MJR00002'.pack('n', \strlen($head)).$head;
        $sound = self::packets();
        $number = 0;
        foreach ($speaks as [$from, $seconds]) {
            for ($i = 0; $i < $seconds * self::SECOND; ++$i) {
                $tick = $from * self::SECOND + $i;
                $packet = pack('CCnNN', 0x80, 111, $number++, 1_000 + $tick * 960, 7).$sound[$tick % \count($sound)];
                $file .= 'MEET'.pack('N', $tick * 20).pack('n', \strlen($packet)).$packet;
            }
        }
        file_put_contents($this->path($person, $after, $room, $kind), $file);
    }

    /**
     * @return non-empty-list<string> the packets of a second of sound (RFC 3533, RFC 7845)
     */
    private static function packets(): array
    {
        $file = (string) file_get_contents(\dirname(__DIR__, 3).'/bench/rooms/tone.opus');
        [$packets, $open] = [[], ''];
        for ($at = 0; $at < \strlen($file);) {
            $segments = \ord($file[$at + 26]);
            $from = $at + 27 + $segments;
            for ($i = 0; $i < $segments; ++$i) {
                $length = \ord($file[$at + 27 + $i]);
                $open .= substr($file, $from, $length);
                $from += $length;
                if (255 !== $length) {
                    $packets[] = $open;
                    $open = '';
                }
            }
            $at = $from;
        }
        $packets = \array_slice($packets, 2);
        self::assertNotEmpty($packets);

        return $packets;
    }

    /**
     * @return list<bool> for each whole second, whether something is heard in its middle
     */
    private function loudSeconds(?string $sound): array
    {
        self::assertNotNull($sound);
        file_put_contents($this->folder.'/heard.opus', $sound);
        (new Process(['opusdec', '--quiet', '--rate', '8000', '--force-wav', $this->folder.'/heard.opus', $this->folder.'/heard.wav']))->mustRun();
        $samples = array_values((array) unpack('v*', substr((string) file_get_contents($this->folder.'/heard.wav'), 44)));
        $loud = [];
        for ($second = 0; ($second + 0.9) * 8_000 < \count($samples); ++$second) {
            $most = 0;
            foreach (\array_slice($samples, (int) (($second + 0.4) * 8_000), 1_600) as $sample) {
                \assert(\is_int($sample));
                $most = max($most, $sample > 32_767 ? 65_536 - $sample : $sample);
            }
            $loud[] = $most > 2_000;
        }

        return $loud;
    }
}
