<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Message;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\Validator\Exception\ValidationFailedException;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * The one way a body comes in: its size first, then its form, then its shape, then what its fields say. Each step costs
 * no more than the size of what is read.
 */
final readonly class BodyResolver implements ValueResolverInterface
{
    /** Nothing we take is nested deeper. */
    private const DEPTH = 12;

    public function __construct(private Shape $shape, private ValidatorInterface $validator)
    {
    }

    /**
     * @return iterable<object>
     *
     * @throws Problem 413 too long, 415 not JSON, 400 not readable, 422 too many fields or one of the wrong shape
     * @throws ValidationFailedException a field that says what cannot be
     */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $body = $argument->getAttributesOfType(Body::class)[0] ?? null;
        $type = $argument->getType();
        if (null === $body || null === $type || !class_exists($type)) {
            return [];
        }
        $read = $this->shape->read($type, self::decode($request, $body->most));
        $violations = $this->validator->validate($read);
        if (\count($violations) > 0) {
            throw new ValidationFailedException($read, $violations);
        }

        return [$read];
    }

    private static function decode(Request $request, int $most): mixed
    {
        if (self::announced($request) > $most || \strlen($text = $request->getContent()) > $most) {
            throw new Problem(413, new Message('http.too_large'));
        }
        if (!\in_array($request->getContentTypeFormat(), ['json', null], true)) {
            throw new Problem(415, new Message('http.not_json'));
        }
        try {
            return Json::decode($text, self::DEPTH);
        } catch (TooManyFields) {
            throw new Problem(422, new Message('http.too_many_fields'));
        } catch (\JsonException) {
            throw new Problem(400, new Message('http.unreadable'));
        }
    }

    private static function announced(Request $request): int
    {
        $length = $request->headers->get('Content-Length', '0');

        return ctype_digit((string) $length) ? (int) $length : 0;
    }
}
