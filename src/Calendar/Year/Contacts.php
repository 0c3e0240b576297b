<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** The people whom things are made for. */
final readonly class Contacts
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database)
    {
    }

    /** Returns the one of that name, however it is written; a new one where there is none. */
    public function named(string $name): Contact
    {
        $found = $this->known($name);
        if (null === $found) {
            $this->entities->persist($found = new Contact($name));
            $this->entities->flush();
        }

        return $found;
    }

    /** Returns the one of that name, however it is written; null where there is none. */
    public function known(string $name): ?Contact
    {
        $this->entities->flush();
        foreach ($this->database->fetchAllKeyValue('SELECT id, name FROM contact WHERE removed_at IS NULL') as $id => $known) {
            if (mb_strtolower(Row::word($known)) === mb_strtolower($name)) {
                return $this->one((int) $id);
            }
        }

        return null;
    }

    /** @return list<Contact> by name */
    public function all(): array
    {
        return $this->entities->getRepository(Contact::class)->findBy(['removedAt' => null], ['name' => 'ASC']);
    }

    /** @throws Unknown if there is no such person */
    public function one(int $id): Contact
    {
        $contact = $this->entities->find(Contact::class, $id);

        return null === $contact || null !== $contact->removedAt ? throw Unknown::contact() : $contact;
    }
}
