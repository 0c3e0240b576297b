<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Database\Row;
use App\Security\Role;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Outside;

/** Looks over a room that has been read out of its file, before it is taken: what no single row can say. */
final readonly class CheckRoom
{
    /** What may hold a further one of its kind: to any depth, but never itself. */
    private const WITHIN = ['places' => 'parent', 'items' => 'parent', 'needs' => 'instead_of'];

    public function __construct(private Connection $database, private RoomFormat $format)
    {
    }

    /** @throws InvalidRoomFile with the path of what is wrong */
    public function room(RoomFile $file): void
    {
        foreach ($this->format->sections() as $section) {
            foreach ($section->fields as $field) {
                if (FieldKind::Reference === $field->kind) {
                    $this->reference($file, $section, $field);
                }
            }
        }
        foreach (self::WITHIN as $name => $field) {
            $this->circle($file, $this->format->section($name), $field);
        }
        $this->people();
        $this->places();
        $this->trays($file);
        if (false !== $this->database->fetchAssociative('PRAGMA foreign_key_check')) {
            throw new InvalidRoomFile('', 'A row points at one that is not there.');
        }
    }

    private function reference(RoomFile $file, Section $section, Field $field): void
    {
        $of = $this->format->section($field->of)->table;
        $number = $section->isNumbered() ? 't.id' : 'NULL';
        $lost = $this->database->fetchAssociative(
            "SELECT {$number} AS id FROM \"{$section->table}\" t LEFT JOIN \"{$of}\" o ON o.id = t.\"{$field->column}\"
             WHERE t.\"{$field->column}\" IS NOT NULL AND o.id IS NULL LIMIT 1",
        );
        if (false !== $lost) {
            $id = (new Row($lost))->intOrNull('id');
            $path = null === $id ? $section->name : $file->path($section, $id);
            throw new InvalidRoomFile("{$path}.{$field->name}", "There is none of this number among the {$field->of}.");
        }
    }

    private function circle(RoomFile $file, Section $section, string $field): void
    {
        $up = [];
        foreach ($this->database->fetchAllKeyValue("SELECT id, {$field}_id FROM \"{$section->table}\" WHERE {$field}_id IS NOT NULL") as $id => $above) {
            $up[(int) $id] = Row::number($above);
        }
        $fine = [];
        foreach (array_keys($up) as $start) {
            $way = [];
            for ($at = $start; isset($up[$at]) && !isset($fine[$at]); $at = $up[$at]) {
                if (isset($way[$at])) {
                    throw new InvalidRoomFile($file->path($section, $at).'.'.$field, "These {$section->name} go in a circle: this one is within itself.");
                }
                $way[$at] = true;
            }
            $fine += $way;
        }
    }

    private function people(): void
    {
        if (false === $this->database->fetchOne('SELECT 1 FROM room')) {
            throw new InvalidRoomFile('rooms', 'There must be a room.');
        }
        if (false === $this->database->fetchOne('SELECT 1 FROM account WHERE role = ? AND left_at IS NULL', [Role::Owner->value])) {
            throw new InvalidRoomFile('people', 'There must be an owner, who can sign in.');
        }
    }

    private function places(): void
    {
        $there = Row::words($this->database->fetchFirstColumn("SELECT address FROM place WHERE nature = 'outside'"));
        foreach (Outside::cases() as $outside) {
            if (!\in_array($outside->value, $there, true)) {
                throw new InvalidRoomFile('places', "The outside place “{$outside->value}” is missing.");
            }
        }
        if (false === $this->database->fetchOne("SELECT 1 FROM place WHERE nature = 'unfiled'")) {
            throw new InvalidRoomFile('places', 'The place for what is not filed is missing.');
        }
    }

    private function trays(RoomFile $file): void
    {
        $tray = $this->database->fetchAssociative(
            "SELECT p.id FROM place p JOIN balance b ON b.place_id = p.id WHERE p.nature = 'tray' AND p.kind NOT IN ('person', 'basket')
             AND NOT EXISTS (SELECT 1 FROM kit k WHERE k.tray_id = p.id) LIMIT 1",
        );
        if (false !== $tray) {
            $path = $file->path($this->format->section('places'), (new Row($tray))->int('id'));
            throw new InvalidRoomFile($path, 'This breaks law 6 of the log: something lies on it, but no kit that is out has it.');
        }
    }
}
