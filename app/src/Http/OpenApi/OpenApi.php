<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\OpenApi;

use FreshHuddle\App\Areas\AreaList;
use FreshHuddle\App\Http\Body\Body;
use FreshHuddle\App\Http\ResponseWithCookies;
use FreshHuddle\App\Stream\Message\ClassPageMessage;
use FreshHuddle\App\Stream\Message\StaffMessage;
use FreshHuddle\App\Stream\Message\StreamMessage;
use FreshHuddle\App\Stream\Message\StudentMessage;
use FreshHuddle\App\Stream\StreamView;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Http\AccessMapInterface;
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
 * Describes the API from what is there: routes, the DTO a controller takes, the DTO it returns, the first sentence of
 * its docblock, who may call it. Only the media types of a file are stated separately, by the attribute `FileTypes`.
 */
final class OpenApi
{
    /** A cookie for each kind of device, by the role it gives. */
    private const COOKIES = ['ROLE_TEACHER' => 'teacher', 'ROLE_STUDENT' => 'student'];

    /** @var array<string, array<string, mixed>> */
    private array $schemas = [];

    public function __construct(
        private readonly RouterInterface $router,
        private readonly PropertyInfoExtractorInterface $properties,
        #[Autowire(service: 'security.access_map')]
        private readonly AccessMapInterface $access,
    ) {
    }

    /**
     * @return array<string, mixed> an OpenAPI 3.1 document
     */
    public function describe(): array
    {
        $this->schemas = [];
        $problem = [
            'description' => 'A problem (RFC 9457)',
            'content' => ['application/problem+json' => ['schema' => $this->problem()]],
        ];
        $paths = [];
        foreach ($this->router->getRouteCollection()->all() as $route) {
            $controller = $route->getDefault('_controller');
            if (!\is_string($controller) || !str_starts_with($route->getPath(), '/api/')) {
                continue;
            }
            [$class, $method] = explode('::', $controller) + [1 => '__invoke'];
            \assert(class_exists($class));
            foreach ($route->getMethods() as $verb) {
                $paths[$route->getPath()][strtolower($verb)] = $this->operation(
                    new \ReflectionMethod($class, $method),
                    $route,
                    $verb,
                );
            }
        }
        ksort($paths);
        ksort($this->schemas);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Fresh Huddle',
                'version' => '1',
                'description' => 'The API that the pages of Fresh Huddle use.',
                'license' => ['name' => 'MIT', 'identifier' => 'MIT'],
            ],
            'servers' => [['url' => '/', 'description' => 'This instance.']],
            'tags' => array_map(
                static fn (string $area, string $what): array => ['name' => $area, 'description' => $what],
                AreaList::names(),
                array_values(AreaList::DESCRIPTIONS),
            ),
            'paths' => $paths,
            'components' => [
                'schemas' => $this->schemas,
                'responses' => ['Problem' => $problem],
                'securitySchemes' => [
                    'teacher' => [
                        'type' => 'apiKey',
                        'in' => 'cookie',
                        'name' => 'fh_staff',
                        'description' => 'A device a teacher is signed in on.',
                    ],
                    'student' => [
                        'type' => 'apiKey',
                        'in' => 'cookie',
                        'name' => 'fh_student',
                        'description' => 'A device a student has joined with.',
                    ],
                ],
            ],
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private function operation(\ReflectionMethod $method, Route $route, string $verb): array
    {
        $operation = [
            'operationId' => self::name($method),
            'summary' => self::summary($method),
            'tags' => [strtolower(self::area($method))],
            'security' => $this->security($route, $verb),
        ];
        preg_match_all('/\{(\w+)\}/', $route->getPath(), $names);
        foreach ($names[1] as $name) {
            $operation['parameters'][] = [
                'name' => $name,
                'in' => 'path',
                'required' => true,
                'schema' => self::part($route, $name),
            ];
        }
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ([] !== $parameter->getAttributes(Body::class) && $type instanceof \ReflectionNamedType) {
                $operation['requestBody'] = [
                    'required' => true,
                    'content' => ['application/json' => ['schema' => $this->reference($type->getName())]],
                ];
            }
        }
        $type = TypeResolver::create()->resolve($method);
        if ($type instanceof GenericType && $type->isIdentifiedBy(ResponseWithCookies::class)) {
            $type = $type->getVariableTypes()[0];
        }
        $problem = ['$ref' => '#/components/responses/Problem'];
        $none = [];
        if ($type instanceof NullableType) {
            [$type, $none] = [$type->getWrappedType(), [204 => ['description' => 'Done, and nothing to show']]];
        }
        $operation['responses'] = $this->done($method, $type) + $none + ['4XX' => $problem, 'default' => $problem];
        if ($type->isIdentifiedBy(StreamView::class)) {
            $operation['callbacks'] = $this->stream($operation['operationId'], $operation['tags'], $operation['security']);
        }

        return $operation;
    }

    /**
     * What goes over the stream whose address an operation gives.
     *
     * @param list<string>                      $tags
     * @param list<array<string, list<string>>> $security
     *
     * @return array<string, mixed>
     */
    private function stream(string $operation, array $tags, array $security): array
    {
        $whose = match ($security) {
            [] => ClassPageMessage::class,
            [['teacher' => []]] => StaffMessage::class,
            default => StudentMessage::class,
        };
        $schemas = $mapping = [];
        foreach (StreamMessages::all() as $message) {
            if (is_subclass_of($message, $whose)) {
                $schemas[] = $reference = $this->message($message);
                $mapping[$message::kind()] = $reference['$ref'];
            }
        }

        return [
            'message' => [
                '{$response.body#/address}' => [
                    'get' => [
                        'operationId' => "{$operation}Message",
                        'summary' => 'A message in the stream of server-sent events',
                        'tags' => $tags,
                        'security' => $security,
                        'responses' => [
                            200 => [
                                'description' => 'One message after the other',
                                'content' => [
                                    'text/event-stream' => [
                                        'schema' => [
                                            'oneOf' => $schemas,
                                            'discriminator' => ['propertyName' => 'kind', 'mapping' => $mapping],
                                        ],
                                    ],
                                ],
                            ],
                            '4XX' => ['$ref' => '#/components/responses/Problem'],
                        ],
                    ],
                ],
            ],
        ];
    }

    /**
     * @param class-string<StreamMessage> $class
     *
     * @return array{'$ref': string}
     */
    private function message(string $class): array
    {
        $name = (new \ReflectionClass($class))->getShortName();
        $fields = $this->object($class);
        $this->schemas[$name] = [
            'type' => 'object',
            'properties' => ['kind' => ['type' => 'string', 'const' => $class::kind()]] +
                $fields['properties'] +
                ['lesson' => ['type' => 'string', 'description' => 'The lesson this is about.']] +
                ['grouping' => ['type' => 'string', 'description' => 'The grouping this is about.']],
            'required' => ['kind', ...array_keys($fields['properties'])],
        ];

        return ['$ref' => '#/components/schemas/'.$name];
    }

    /**
     * @return array<int, array<string, mixed>> by status
     */
    private function done(\ReflectionMethod $method, Type $type): array
    {
        $file = ($method->getAttributes(FileTypes::class)[0] ?? null)?->newInstance();
        if (null !== $file) {
            return [
                200 => [
                    'description' => 'The file',
                    'content' => array_fill_keys($file->types, [
                        'schema' => ['type' => 'string', 'format' => 'binary'],
                    ]),
                ],
            ];
        }
        if ($type->isIdentifiedBy(RedirectResponse::class)) {
            return [
                302 => [
                    'description' => 'A redirect',
                    'headers' => ['Location' => ['schema' => ['type' => 'string']]],
                ],
            ];
        }
        if ($type->isIdentifiedBy(TypeIdentifier::VOID) || $type->isIdentifiedBy(Response::class)) {
            return [204 => ['description' => 'Done']];
        }

        return [
            200 => ['description' => 'Done', 'content' => ['application/json' => ['schema' => $this->schema($type)]]],
        ];
    }

    /**
     * @return array<string, mixed> what may stand in this part of the path
     */
    private static function part(Route $route, string $name): array
    {
        $allowed = $route->getRequirement($name);

        return ['type' => 'string'] +
            match (true) {
                null === $allowed => [],
                Requirement::UUID === $allowed => ['format' => 'uuid'],
                1 === preg_match('/^\w+(\|\w+)*$/', $allowed) => ['enum' => explode('|', $allowed)],
                default => ['pattern' => "^{$allowed}$"],
            };
    }

    /**
     * @return list<array<string, list<string>>> which of the cookies; empty: anybody may ask
     */
    private function security(Route $route, string $verb): array
    {
        [$roles] = $this->access->getPatterns(Request::create(str_replace(['{', '}'], '', $route->getPath()), $verb));

        return array_values(
            array_map(
                static fn (string $cookie): array => [$cookie => []],
                array_intersect_key(self::COOKIES, array_flip(array_filter($roles ?? [], is_string(...)))),
            ),
        );
    }

    /**
     * @throws \LogicException where it has none
     */
    private static function summary(\ReflectionMethod $method): string
    {
        return 1 ===
            preg_match('~/\*\*\s*(?:\*\s*)?([^@*\s][^\n]*?)\s*(?:\*/)?\n~', $method->getDocComment()."\n", $found)
            ? rtrim($found[1], '.')
            : throw new \LogicException("{$method->class}::{$method->name} does not say what it does.");
    }

    /** As `classAddRule`: the controller and its method. */
    private static function name(\ReflectionMethod $method): string
    {
        $controller = lcfirst(
            substr((new \ReflectionClass($method->class))->getShortName(), 0, -\strlen('Controller')),
        );

        return '__invoke' === $method->name ? $controller : $controller.ucfirst($method->name);
    }

    private static function area(\ReflectionMethod $method): string
    {
        return explode('\\', $method->class)[2];
    }

    /**
     * @return array<string, mixed>
     */
    private function schema(Type $type): array
    {
        return match (true) {
            $type instanceof NullableType => self::orNull($this->schema($type->getWrappedType())),
            $type instanceof CollectionType && $type->isList() => [
                'type' => 'array',
                'items' => $this->schema($type->getCollectionValueType()),
            ],
            $type instanceof BackedEnumType => $this->enum($type->getClassName()),
            $type instanceof ObjectType => $this->reference($type->getClassName()),
            $type instanceof BuiltinType => [
                'type' => match ($type->getTypeIdentifier()) {
                    TypeIdentifier::INT => 'integer',
                    TypeIdentifier::FLOAT => 'number',
                    TypeIdentifier::BOOL => 'boolean',
                    TypeIdentifier::STRING => 'string',
                    default => throw new \LogicException("A DTO holds {$type}, which the API has no word for."),
                },
            ],
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
     * @return array{type: string, properties: array<string, mixed>, required: list<string>}
     */
    private function object(string $class): array
    {
        $properties = $required = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type =
                $this->properties->getType($class, $parameter->getName()) ??
                throw new \LogicException("{$class}::\${$parameter->getName()} has no type.");
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
        $this->schemas[$name] = [
            'type' => 'string',
            'enum' => array_map(static fn (\BackedEnum $case): int|string => $case->value, $class::cases()),
        ];

        return ['$ref' => '#/components/schemas/'.$name];
    }

    /**
     * @return array<string, mixed>
     */
    private function problem(): array
    {
        $text = ['type' => 'string'];
        $this->schemas['Problem'] = [
            'type' => 'object',
            'required' => ['title', 'status'],
            'properties' => [
                'type' => $text,
                'title' => $text,
                'status' => ['type' => 'integer'],
                'errors' => [
                    'type' => 'array',
                    'items' => [
                        'type' => 'object',
                        'required' => ['field', 'message'],
                        'properties' => ['field' => $text, 'message' => $text],
                    ],
                ],
            ],
        ];

        return ['$ref' => '#/components/schemas/Problem'];
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        return \is_string($schema['type'] ?? null)
            ? ['type' => [$schema['type'], 'null']] + $schema
            : ['anyOf' => [$schema, ['type' => 'null']]];
    }
}
