<?php

declare(strict_types=1);

namespace FreshHuddle\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261206000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Lessons can be practised with simulated students, in doubles of their classes.';
    }

    public function up(Schema $schema): void
    {
        foreach (explode(";\n", (string) file_get_contents(__DIR__.'/Version20261206000000.sql')) as $statement) {
            if ('' !== trim($statement)) {
                $this->addSql(trim($statement));
            }
        }
    }
}
