<?php

declare(strict_types=1);

namespace FreshHuddle\App\Roster\Device;

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
 * Knows a student by the cookie of their device.
 */
final class StudentAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    public function __construct(private readonly StudentDeviceStore $devices, private readonly Problems $problems)
    {
    }

    public function supports(Request $request): bool
    {
        return '' !== self::token($request)
            && 1 !== preg_match('~^/api/student/(classes|join|door$)~D', rawurldecode($request->getPathInfo()));
    }

    public function authenticate(Request $request): Passport
    {
        $student = $this->devices->student(self::token($request)) ?? throw new UserNotFoundException();

        return new SelfValidatingPassport(new UserBadge($student->id, static fn (): StudentUser => $student));
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
        return $this->problems->response(new Problem(401, new Message('roster.say_who')));
    }

    public static function token(Request $request): string
    {
        $token = $request->cookies->get(StudentDeviceStore::COOKIE);

        return \is_string($token) ? $token : '';
    }
}
