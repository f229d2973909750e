<?php

declare(strict_types=1);

namespace FreshHuddle\App\Live\ClassPage;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Uid\Uuid;

/**
 * The address of a lesson's class page: who has it needs no sign-in, who has it not cannot guess it.
 */
final readonly class ClassPageLink
{
    public function __construct(#[Autowire('%env(APP_SECRET)%'), \SensitiveParameter] private string $secret)
    {
    }

    /**
     * @return string the lesson's number in base 58, and 22 signs that only we can work out for it
     */
    public function of(string $lessonId): string
    {
        return Uuid::fromString($lessonId)->toBase58().'.'.$this->signature($lessonId);
    }

    /**
     * @return string|null the lesson's id; null where the token is none of ours
     */
    public function lesson(string $token): ?string
    {
        [$number, $signature] = explode('.', $token, 2) + [1 => ''];
        try {
            $lessonId = Uuid::fromBase58($number)->toRfc4122();
        } catch (\InvalidArgumentException) {
            return null;
        }

        return hash_equals($this->signature($lessonId), $signature) ? $lessonId : null;
    }

    private function signature(string $lessonId): string
    {
        return substr(strtr(base64_encode(hash_hmac('sha256', "class page {$lessonId}", $this->secret, true)), '+/', '-_'), 0, 22);
    }
}
