<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\File;

use FreshHuddle\App\Http\Body\Shape;
use FreshHuddle\App\Http\Problem;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Reads a file from elsewhere as a request is read: by the types of a DTO and what its fields demand.
 */
final readonly class FileShape
{
    public function __construct(private Shape $shape, private ValidatorInterface $validator)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T>         $class
     * @param array<array-key, mixed> $fields
     *
     * @return T
     *
     * @throws UnusableFile with the place at fault
     */
    public function read(string $class, array $fields): object
    {
        try {
            $read = $this->shape->read($class, $fields);
        } catch (Problem $e) {
            throw new UnusableFile($e->field ?? '', $e);
        }
        $violations = $this->validator->validate($read);
        if (\count($violations) > 0) {
            throw new UnusableFile($violations->get(0)->getPropertyPath());
        }

        return $read;
    }
}
