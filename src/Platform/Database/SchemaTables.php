<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Schema\Table;
use Doctrine\DBAL\Types\Types;

/** Tables as the migrations make them, in a few words. */
final readonly class SchemaTables
{
    public function __construct(private Schema $schema)
    {
    }

    public function named(string $name): Table
    {
        return $this->schema->createTable($name);
    }

    /** A table whose rows have numbers of their own. */
    public function numbered(string $name): Table
    {
        $table = $this->named($name);
        $table->addColumn('id', Types::INTEGER, ['autoincrement' => true]);
        $table->setPrimaryKey(['id']);

        return $table;
    }

    /** @param array<string, mixed> $options */
    public function text(Table $table, string $column, int $length, array $options = []): void
    {
        $table->addColumn($column, Types::STRING, ['length' => $length] + $options);
    }

    public function reference(Table $table, string $to, ?string $column = null, bool $isRequired = true): void
    {
        $column ??= $to.'_id';
        $table->addColumn($column, Types::INTEGER, ['notnull' => $isRequired]);
        $table->addForeignKeyConstraint($to, [$column], ['id']);
    }
}
