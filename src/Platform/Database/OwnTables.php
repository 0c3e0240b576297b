<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Schema\Table;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Tools\Event\GenerateSchemaEventArgs;
use Doctrine\ORM\Tools\ToolEvents;

/**
 * Tells Doctrine of the tables that no entity stands for, so that `doctrine:schema:validate` compares the whole schema and
 * `doctrine:schema:update` has nothing to drop.
 */
#[AsDoctrineListener(ToolEvents::postGenerateSchema)]
final readonly class OwnTables
{
    public function postGenerateSchema(GenerateSchemaEventArgs $event): void
    {
        $schema = $event->getSchema();
        $this->steps($schema);
        $this->people($schema);
        $this->catalogue($schema);
        $this->labels($schema);
        $this->rounds($schema);
        $this->cuts($schema);
    }

    private function steps(Schema $schema): void
    {
        $request = $schema->createTable('write_request');
        $this->text($request, 'id', 36);
        $this->reference($request, 'account', isRequired: false);
        $request->addColumn('at', Types::DATETIME_IMMUTABLE);
        $request->addColumn('outcome', Types::TEXT);
        $request->addColumn('said', Types::TEXT);
        $request->addColumn('is_undoable', Types::BOOLEAN, ['default' => false]);
        $this->text($request, 'undone_by', 36, ['notnull' => false]);
        $request->setPrimaryKey(['id']);

        $part = $schema->createTable('part_done');
        $this->text($part, 'request_id', 36);
        $part->addColumn('done', Types::INTEGER);
        $part->addColumn('parts', Types::INTEGER);
        $part->setPrimaryKey(['request_id']);

        $current = $schema->createTable('current_step');
        $this->text($current, 'request_id', 36);
        $current->setPrimaryKey(['request_id']);

        $change = $this->numbered($schema, 'step_change');
        $this->text($change, 'request_id', 36);
        $this->text($change, 'subject', 20);
        $change->addColumn('row_id', Types::INTEGER);
        $this->text($change, 'what', 10);
        $change->addColumn('was', Types::TEXT, ['notnull' => false]);
        $change->addColumn('became', Types::TEXT, ['notnull' => false]);
        $change->addIndex(['request_id'], 'step_change_request');
    }

    private function people(Schema $schema): void
    {
        $failure = $schema->createTable('sign_in_failure');
        $this->text($failure, 'subject', 200);
        $failure->addColumn('failures', Types::INTEGER);
        $failure->addColumn('since', Types::INTEGER);
        $failure->setPrimaryKey(['subject']);

        $device = $this->numbered($schema, 'device');
        $this->reference($device, 'account', isRequired: false);
        $this->text($device, 'name', 60);
        $this->text($device, 'token', 64);
        $device->addColumn('let_in_at', Types::DATETIME_IMMUTABLE);
        $device->addColumn('seen_at', Types::DATETIME_IMMUTABLE);
        $device->addColumn('shut_out_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $device->addIndex(['account_id'], 'device_account');

        $code = $schema->createTable('device_code');
        $this->text($code, 'code', 64);
        $this->reference($code, 'account', isRequired: false);
        $code->addColumn('ends_at', Types::INTEGER);
        $code->setPrimaryKey(['code']);

        $session = $schema->createTable('session');
        $this->text($session, 'id', 128);
        $session->addColumn('data', Types::TEXT);
        $session->addColumn('ends_at', Types::INTEGER);
        $session->setPrimaryKey(['id']);
        $session->addIndex(['ends_at'], 'session_end');
    }

    private function catalogue(Schema $schema): void
    {
        $companion = $schema->createTable('companion');
        $this->reference($companion, 'item');
        $this->reference($companion, 'item', 'other_id');
        $companion->addColumn('is_together', Types::BOOLEAN, ['default' => false]);
        $companion->setPrimaryKey(['item_id', 'other_id']);
        $companion->addIndex(['other_id'], 'companion_other');

        $retracking = $this->numbered($schema, 'retracking');
        $this->reference($retracking, 'item');
        $this->reference($retracking, 'movement');
        $this->text($retracking, 'from_tracking', 10);
        $this->text($retracking, 'to_tracking', 10);
        $retracking->addColumn('was', Types::INTEGER);
        $retracking->addColumn('becomes', Types::INTEGER);
        $retracking->addIndex(['item_id', 'movement_id'], 'retracking_item');

        $spot = $this->numbered($schema, 'spot');
        $this->reference($spot, 'item');
        $this->reference($spot, 'place');
        foreach (['x', 'y', 'width', 'height'] as $side) {
            $spot->addColumn($side, Types::INTEGER);
        }
        $spot->addUniqueIndex(['item_id'], 'spot_item');
        $spot->addIndex(['place_id'], 'spot_place');

        $search = $this->numbered($schema, 'saved_search');
        $this->text($search, 'name', 60);
        $this->text($search, 'query', 1000);
    }

    private function rounds(Schema $schema): void
    {
        $off = $this->numbered($schema, 'put_off');
        $this->reference($off, 'kit');
        $this->reference($off, 'item');
        $off->addUniqueIndex(['kit_id', 'item_id'], 'put_off_kit');
    }

    private function cuts(Schema $schema): void
    {
        $cut = $this->numbered($schema, 'cut');
        $this->reference($cut, 'movement');
        foreach (['width', 'height', 'sheets'] as $column) {
            $cut->addColumn($column, Types::INTEGER);
        }
        $cut->addUniqueIndex(['movement_id'], 'cut_movement');

        $part = $this->numbered($schema, 'cut_part');
        $part->addColumn('cut_id', Types::INTEGER);
        $part->addForeignKeyConstraint('cut', ['cut_id'], ['movement_id'], ['deferrable' => true, 'deferred' => true]);
        $this->reference($part, 'movement', isRequired: false);
        $this->text($part, 'fate', 6);
        foreach (['width', 'height', 'quantity'] as $column) {
            $part->addColumn($column, Types::INTEGER);
        }
        $part->addIndex(['cut_id'], 'cut_part_cut');
        $part->addIndex(['movement_id'], 'cut_part_movement');
    }

    private function labels(Schema $schema): void
    {
        $wish = $this->numbered($schema, 'label_wish');
        $this->reference($wish, 'place', isRequired: false);
        $this->reference($wish, 'item', isRequired: false);
        $this->text($wish, 'format', 20);
        $this->text($wish, 'reason', 20);
        $wish->addColumn('at', Types::DATETIME_IMMUTABLE);

        $sheet = $this->numbered($schema, 'label_sheet');
        $this->text($sheet, 'name', 60);
        $sheet->addColumn('measures', Types::TEXT);
    }

    private function numbered(Schema $schema, string $name): Table
    {
        $table = $schema->createTable($name);
        $table->addColumn('id', Types::INTEGER, ['autoincrement' => true]);
        $table->setPrimaryKey(['id']);

        return $table;
    }

    /** @param array<string, mixed> $options */
    private function text(Table $table, string $column, int $length, array $options = []): void
    {
        $table->addColumn($column, Types::STRING, ['length' => $length] + $options);
    }

    private function reference(Table $table, string $to, ?string $column = null, bool $isRequired = true): void
    {
        $column ??= $to.'_id';
        $table->addColumn($column, Types::INTEGER, ['notnull' => $isRequired]);
        $table->addForeignKeyConstraint($to, [$column], ['id']);
    }
}
