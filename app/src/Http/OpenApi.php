<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http;

use FreshHuddle\App\Http\Body\Body;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\BuiltinType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\GenericType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\TypeIdentifier;
use Symfony\Component\TypeInfo\TypeResolver\TypeResolver;

/**
 * Describes the API from what is there: routes, the DTO a controller takes, the DTO it returns. Nothing is said twice, so
 * the description cannot disagree with the code.
 */
final class OpenApi
{
    /** @var array<string, array<string, mixed>> */
    private array $schemas = [];

    public function __construct(private readonly RouterInterface $router, private readonly PropertyInfoExtractorInterface $properties)
    {
    }

    /**
     * @return array<string, mixed> an OpenAPI 3.1 document
     */
    public function describe(): array
    {
        $this->schemas = [];
        $paths = [];
        foreach ($this->router->getRouteCollection()->all() as $route) {
            $controller = $route->getDefault('_controller');
            if (!\is_string($controller) || !str_starts_with($route->getPath(), '/api/')) {
                continue;
            }
            [$class, $method] = explode('::', $controller) + [1 => '__invoke'];
            \assert(class_exists($class));
            foreach ($route->getMethods() as $verb) {
                $paths[$route->getPath()][strtolower($verb)] = $this->operation(new \ReflectionMethod($class, $method), $route->getPath());
            }
        }
        ksort($paths);
        ksort($this->schemas);

        return [
            'openapi' => '3.1.0',
            'info' => ['title' => 'Fresh Huddle', 'version' => '1'],
            'paths' => $paths,
            'components' => ['schemas' => $this->schemas],
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private function operation(\ReflectionMethod $method, string $path): array
    {
        $operation = [];
        preg_match_all('/\{(\w+)\}/', $path, $names);
        foreach ($names[1] as $name) {
            $operation['parameters'][] = ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']];
        }
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ([] !== $parameter->getAttributes(Body::class) && $type instanceof \ReflectionNamedType) {
                $operation['requestBody'] = ['required' => true, 'content' => ['application/json' => ['schema' => $this->reference($type->getName())]]];
            }
        }
        $type = TypeResolver::create()->resolve($method);
        if ($type instanceof GenericType && $type->isIdentifiedBy(Given::class)) {
            $type = $type->getVariableTypes()[0];
        }
        $file = $type->isIdentifiedBy(Download::class) || $type->isIdentifiedBy(Bytes::class);
        $empty = !$file && ($type->isIdentifiedBy(TypeIdentifier::VOID) || $type->isIdentifiedBy(Response::class));
        $operation['responses'] = [
            $empty ? '204' : '200' => ['description' => 'Done'] + ($empty ? [] : ['content' => $file ? ['application/octet-stream' => ['schema' => ['type' => 'string', 'format' => 'binary']]] : ['application/json' => ['schema' => $this->schema($type)]]]),
            'default' => ['description' => 'A problem (RFC 9457)', 'content' => ['application/problem+json' => ['schema' => $this->problem()]]],
        ];

        return $operation;
    }

    /**
     * @return array<string, mixed>
     */
    private function schema(Type $type): array
    {
        return match (true) {
            $type instanceof NullableType => self::orNull($this->schema($type->getWrappedType())),
            $type instanceof CollectionType && $type->isList() => ['type' => 'array', 'items' => $this->schema($type->getCollectionValueType())],
            $type instanceof BackedEnumType => $this->enum($type->getClassName()),
            $type instanceof ObjectType => $this->reference($type->getClassName()),
            $type instanceof BuiltinType => ['type' => match ($type->getTypeIdentifier()) {
                TypeIdentifier::INT => 'integer',
                TypeIdentifier::FLOAT => 'number',
                TypeIdentifier::BOOL => 'boolean',
                TypeIdentifier::STRING => 'string',
                default => throw new \LogicException("A DTO holds {$type}, which the API has no word for."),
            }],
            default => throw new \LogicException("A DTO holds {$type}, which the API has no word for."),
        };
    }

    /**
     * @return array<string, mixed>
     */
    private function reference(string $class): array
    {
        \assert(class_exists($class));
        $name = (new \ReflectionClass($class))->getShortName();
        if (!isset($this->schemas[$name])) {
            $this->schemas[$name] = []; // so that a DTO may hold its own kind
            $this->schemas[$name] = $this->object($class);
        }

        return ['$ref' => '#/components/schemas/'.$name];
    }

    /**
     * @param class-string $class
     *
     * @return array<string, mixed>
     */
    private function object(string $class): array
    {
        $properties = $required = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $this->properties->getType($class, $parameter->getName()) ?? throw new \LogicException("{$class}::\${$parameter->getName()} has no type.");
            $properties[$parameter->getName()] = $this->schema($type);
            if (!$parameter->isDefaultValueAvailable()) {
                $required[] = $parameter->getName();
            }
        }

        return ['type' => 'object', 'properties' => $properties, 'required' => $required];
    }

    /**
     * @return array<string, mixed>
     */
    private function enum(string $class): array
    {
        \assert(is_subclass_of($class, \BackedEnum::class));
        $name = (new \ReflectionClass($class))->getShortName();
        $this->schemas[$name] = ['type' => 'string', 'enum' => array_map(static fn (\BackedEnum $case): int|string => $case->value, $class::cases())];

        return ['$ref' => '#/components/schemas/'.$name];
    }

    /**
     * @return array<string, mixed>
     */
    private function problem(): array
    {
        $text = ['type' => 'string'];
        $this->schemas['Problem'] = ['type' => 'object', 'required' => ['title', 'status'], 'properties' => [
            'type' => $text,
            'title' => $text,
            'status' => ['type' => 'integer'],
            'errors' => ['type' => 'array', 'items' => ['type' => 'object', 'required' => ['field', 'message'], 'properties' => ['field' => $text, 'message' => $text]]],
        ]];

        return ['$ref' => '#/components/schemas/Problem'];
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        return \is_string($schema['type'] ?? null) ? ['type' => [$schema['type'], 'null']] + $schema : ['anyOf' => [$schema, ['type' => 'null']]];
    }
}
