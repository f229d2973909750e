<?php

declare(strict_types=1);

namespace FreshHuddle\App\Rooms\Own;

/**
 * Somebody as the media server knows them.
 */
final readonly class Participant
{
    /** How the media server calls somebody. */
    public const PATTERN = '/^(staff-)?[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D';
    private const STAFF = 'staff-';

    private function __construct(public string $id, public string $name)
    {
    }

    public static function student(string $id, string $name): self
    {
        return new self($id, $name);
    }

    public static function staff(string $id, string $name): self
    {
        return new self(self::STAFF.$id, $name);
    }

    /**
     * @return string|null our id of the student; null for somebody of the staff
     */
    public static function studentOf(string $id): ?string
    {
        return str_starts_with($id, self::STAFF) ? null : $id;
    }

    public function isStaff(): bool
    {
        return str_starts_with($this->id, self::STAFF);
    }

    /**
     * @return string letters that may stand in an address
     */
    public function text(): string
    {
        $json = json_encode(
            ['id' => $this->id, 'name' => mb_substr($this->name, 0, 60)],
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE,
        );

        return rtrim(strtr(base64_encode($json), '+/', '-_'), '=');
    }
}
