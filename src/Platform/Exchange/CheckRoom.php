<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\Row;
use App\Platform\Security\Role;
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
        $this->people($file);
        $this->places();
        $this->addresses($file);
        $this->none(
            $file,
            'places',
            'number',
            "SELECT id FROM place WHERE CASE WHEN nature = 'tray' AND kind IN ('tray', 'folder') OR number IS NOT NULL
                THEN number IS NULL OR nature <> 'tray' OR address || '~' NOT LIKE '% ' || number || '~%' END",
            'A tray, folder, basket or box is called by its number, and nothing else has one.',
        );
        $this->none(
            $file,
            'album_pages',
            'item',
            'SELECT max(id) FROM album_page WHERE item_id IS NOT NULL GROUP BY item_id HAVING count(*) > 1',
            'This page has a place in an album already.'
        );
        $this->none(
            $file,
            'album_pages',
            'kit',
            'SELECT max(id) FROM album_page WHERE kit_id IS NOT NULL GROUP BY kit_id HAVING count(*) > 1',
            'This kit has a place in an album already.'
        );
        $this->none($file, 'loans', 'ended', 'SELECT id FROM loan WHERE ended < 0 OR ended > quantity', 'More came back than was lent.');
        $this->none(
            $file,
            'loans',
            'quantity',
            "SELECT l.id FROM loan l WHERE l.ended < l.quantity AND l.way = 'lent' AND l.place_id IS NOT NULL
            AND l.quantity - l.ended > coalesce((SELECT b.quantity FROM balance b WHERE b.item_id = l.item_id AND b.place_id = l.place_id), 0)",
            'So much of it is not with that person.'
        );
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

    private function people(RoomFile $file): void
    {
        if (false === $this->database->fetchOne('SELECT 1 FROM room')) {
            throw new InvalidRoomFile('rooms', 'There must be a room.');
        }
        if (false === $this->database->fetchOne('SELECT 1 FROM account WHERE role = ? AND left_at IS NULL', [Role::Owner->value])) {
            throw new InvalidRoomFile('people', 'There must be an owner, who can sign in.');
        }
        $this->none($file, 'people', 'is_child', "SELECT id FROM account WHERE role = 'owner' AND is_child", 'An owner is no child.');
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

    private function addresses(RoomFile $file): void
    {
        foreach ($this->database->fetchAllKeyValue(
            "SELECT id, address FROM place WHERE nature = 'storage' AND retired_at IS NULL AND unit_id IS NOT NULL",
        ) as $id => $address) {
            if (!Meanings::isAddress(Row::word($address))) {
                throw new InvalidRoomFile($file->path($this->format->section('places'), (int) $id).'.address', 'This is no address, such as C3 or C3.b.');
            }
        }
    }

    /** @throws InvalidRoomFile if a question finds a row of a section */
    private function none(RoomFile $file, string $section, string $field, string $sql, string $why): void
    {
        $id = $this->database->fetchOne($sql);
        if (false !== $id && null !== $id) {
            throw new InvalidRoomFile($file->path($this->format->section($section), Row::number($id)).'.'.$field, $why);
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
