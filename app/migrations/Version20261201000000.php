<?php

declare(strict_types=1);

namespace FreshHuddle\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Rows and columns for what is asked for by its content: addressees, moments, actors, seat numbers, viewers.';
    }

    public function up(Schema $schema): void
    {
        foreach (explode(";\n", (string) file_get_contents(__DIR__.'/Version20261201000000.sql')) as $statement) {
            if ('' !== trim($statement)) {
                $this->addSql(trim($statement));
            }
        }
    }
}
