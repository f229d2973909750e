<?php

declare(strict_types=1);

namespace FreshHuddle\App\Http\OpenApi;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Prints docs/formats/openapi.json.
 */
#[AsCommand('huddle:openapi', 'Prints the description of the API (OpenAPI 3.1), from the controllers and DTOs.')]
final class OpenApiCommand extends Command
{
    public function __construct(private readonly OpenApi $openApi)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write(
            json_encode(
                $this->openApi->describe(),
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE,
            )."\n",
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }
}
