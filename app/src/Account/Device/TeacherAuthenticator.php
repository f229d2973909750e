<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account\Device;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\Problem;
use FreshHuddle\App\Http\Problems;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/**
 * A teacher is known by the device's cookie at every request. For who has none, nothing is stored and nothing is
 * started.
 */
final class TeacherAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    public function __construct(private readonly TeacherDevices $devices, private readonly Problems $problems)
    {
    }

    public function supports(Request $request): bool
    {
        return '' !== self::token($request);
    }

    public function authenticate(Request $request): Passport
    {
        $device = $this->devices->find(self::token($request)) ?? throw new UserNotFoundException();
        $request->attributes->set(TeacherDevice::class, $device);

        return new SelfValidatingPassport(
            new UserBadge($device->teacher->email, static fn (): Teacher => $device->teacher),
        );
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): ?Response
    {
        return null;
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return $this->start($request);
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return $this->problems->response(new Problem(401, new Message('account.sign_in')));
    }

    public static function token(Request $request): string
    {
        $token = $request->cookies->get(TeacherDevices::COOKIE);

        return \is_string($token) ? $token : '';
    }
}
