<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Token;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The secret part of a link that goes out by mail. It follows from the id of what the link opens, so that it can be
 * written when the message is, and stands nowhere until then.
 */
final readonly class LinkSecret
{
    public function __construct(#[\SensitiveParameter, Autowire('%env(APP_SECRET)%')] private string $secret)
    {
    }

    /**
     * @return string what stands in the link: the id and its proof
     */
    public function derive(string $id): string
    {
        return $id.'.'.$this->proof($id);
    }

    /**
     * @return string|null the id; null where the proof does not fit
     */
    public function read(string $token): ?string
    {
        [$id, $proof] = explode('.', $token.'.', 3);

        return 1 === preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $id)
            && hash_equals($this->proof($id), $proof)
            ? $id
            : null;
    }

    private function proof(string $id): string
    {
        return rtrim(strtr(base64_encode(hash_hmac('sha256', 'link|'.$id, $this->secret, true)), '+/', '-_'), '=');
    }
}
