<?php

declare(strict_types=1);

namespace FreshHuddle\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261204000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Each class says where its rooms come from (those of before go on at the meeting service); who may speak in a main session, and how long students have spoken.';
    }

    public function up(Schema $schema): void
    {
        foreach (explode(";\n", (string) file_get_contents(__DIR__.'/Version20261204000000.sql')) as $statement) {
            if ('' !== trim($statement)) {
                $this->addSql(trim($statement));
            }
        }
    }
}
