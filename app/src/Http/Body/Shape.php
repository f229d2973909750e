<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\Body;

use FreshHuddle\App\Http\Problem;
use FreshHuddle\Core\Message;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\BuiltinType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\TypeIdentifier;

/**
 * Reads decoded JSON into a DTO by the types of its constructor. Nothing is converted and nothing is guessed: a field
 * of another type, a field nobody asked for and a field that is missing are named. Text is cleaned (CleanText). Once
 * through the value, so the time is linear in its size.
 */
final class Shape
{
    private const LARGEST = 2_147_483_647;

    /** @var array<class-string, array<string, array{type: Type, moment: bool, optional: bool, default: mixed}>> */
    private array $fields = [];

    public function __construct(private readonly PropertyInfoExtractorInterface $properties)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class a DTO whose constructor's parameters are its fields
     * @param string          $path  where the value stands, for the problem; '' at the top
     *
     * @return T
     *
     * @throws Problem 422 with the field at fault
     */
    public function read(string $class, mixed $value, string $path = ''): object
    {
        if (!\is_array($value) || ([] !== $value && array_is_list($value))) {
            throw self::wrong($path, 'http.field.object');
        }
        $fields = $this->fields[$class] ??= $this->fieldsOf($class);
        foreach ($value as $name => $_) {
            if (!isset($fields[$name])) {
                throw self::wrong(self::under($path, mb_substr((string) $name, 0, 60)), 'http.field.unknown');
            }
        }
        $arguments = [];
        foreach ($fields as $name => $field) {
            if (\array_key_exists($name, $value)) {
                $arguments[$name] = $this->value(
                    $field['type'],
                    $value[$name],
                    self::under($path, $name),
                    $field['moment'],
                );
            } elseif ($field['optional']) {
                $arguments[$name] = $field['default'];
            } else {
                throw self::wrong(self::under($path, $name), 'http.field.missing');
            }
        }

        return new $class(...$arguments);
    }

    private function value(Type $type, mixed $value, string $path, bool $moment): mixed
    {
        if ($type instanceof NullableType) {
            return null === $value ? null : $this->value($type->getWrappedType(), $value, $path, $moment);
        }

        return match (true) {
            $type instanceof CollectionType => $this->items($type, $value, $path),
            $type instanceof BackedEnumType => self::choice($type->getClassName(), $value, $path),
            $type instanceof ObjectType => $this->read(self::dto($type->getClassName()), $value, $path),
            $type instanceof BuiltinType => match ($type->getTypeIdentifier()) {
                TypeIdentifier::STRING => \is_string($value)
                    ? CleanText::clean($value)
                    : throw self::wrong($path, 'http.field.text'),
                TypeIdentifier::INT => self::whole($value, $path, $moment),
                TypeIdentifier::FLOAT => \is_int($value) || \is_float($value)
                    ? (float) $value
                    : throw self::wrong($path, 'http.field.number'),
                TypeIdentifier::BOOL => \is_bool($value) ? $value : throw self::wrong($path, 'http.field.bool'),
                default => throw new \LogicException("A DTO holds {$type}, which no request can say."),
            },
            default => throw new \LogicException("A DTO holds {$type}, which no request can say."),
        };
    }

    /**
     * @return list<mixed>
     *
     * @phpstan-ignore missingType.generics (the list may be declared in any of the ways TypeInfo knows)
     */
    private function items(CollectionType $type, mixed $value, string $path): array
    {
        if (!\is_array($value) || !array_is_list($value)) {
            throw self::wrong($path, 'http.field.list');
        }
        $items = [];
        foreach ($value as $i => $item) {
            $items[] = $this->value($type->getCollectionValueType(), $item, "{$path}[{$i}]", false);
        }

        return $items;
    }

    private static function choice(string $enum, mixed $value, string $path): \BackedEnum
    {
        \assert(is_subclass_of($enum, \BackedEnum::class));
        $case = \is_string($value) ? $enum::tryFrom($value) : null;

        return $case ??
            throw self::wrong($path, 'http.field.one_of', [
                'known' => array_map(
                    static fn (\BackedEnum $backedEnum): string => (string) $backedEnum->value,
                    $enum::cases(),
                ),
            ]);
    }

    private static function whole(mixed $value, string $path, bool $moment): int
    {
        if (!\is_int($value)) {
            throw self::wrong($path, 'http.field.int');
        }
        if ($moment ? $value < 0 || $value > Moment::LAST : abs($value) > self::LARGEST) {
            throw self::wrong($path, 'http.field.large');
        }

        return $value;
    }

    /**
     * @param class-string $class
     *
     * @return array<string, array{type: Type, moment: bool, optional: bool, default: mixed}>
     */
    private function fieldsOf(string $class): array
    {
        $fields = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            $optional = $parameter->isDefaultValueAvailable();
            $fields[$name] = [
                'type' => $this->properties->getType($class, $name) ??
                    throw new \LogicException("{$class}::\${$name} has no type."),
                'moment' => [] !== $parameter->getAttributes(Moment::class),
                'optional' => $optional,
                'default' => $optional ? $parameter->getDefaultValue() : null,
            ];
        }

        return $fields;
    }

    /**
     * @return class-string
     */
    private static function dto(string $class): string
    {
        return class_exists($class) ? $class : throw new \LogicException("There is no {$class}.");
    }

    private static function under(string $path, string $name): string
    {
        return '' === $path ? $name : "{$path}.{$name}";
    }

    /**
     * @param array<string, list<string>> $values
     */
    private static function wrong(string $path, string $code, array $values = []): Problem
    {
        return new Problem(422, new Message($code, $values), '' === $path ? null : $path);
    }
}
