<?php

declare(strict_types=1);

namespace FreshHuddle\App\Account;

use FreshHuddle\App\Http\Problem;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface;
use Symfony\Component\Security\Http\Authentication\AuthenticationSuccessHandlerInterface;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/**
 * What the browser hears when a teacher signs in, fails to, or has to.
 */
final readonly class SignInAnswer implements AuthenticationSuccessHandlerInterface, AuthenticationFailureHandlerInterface, AuthenticationEntryPointInterface
{
    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $teacher = $token->getUser();
        \assert($teacher instanceof Teacher);

        return new JsonResponse(new Me($teacher->id, $teacher->name, $teacher->email));
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        if ($exception instanceof TooManyLoginAttemptsAuthenticationException) {
            return (new Problem(429, 'Too many tries. Wait five minutes, then try again.'))->response();
        }

        return (new Problem(401, 'This address and password do not go together.', 'password'))->response();
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return (new Problem(401, 'Please sign in.'))->response();
    }
}
