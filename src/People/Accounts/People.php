<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\Account;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** Those who work in the room. */
final readonly class People
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if nobody here has this number */
    public function one(int $id): Account
    {
        $person = $this->entities->find(Account::class, $id);

        return null === $person || null !== $person->leftAt ? throw Unknown::person($id) : $person;
    }

    public function named(string $login): ?Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['login' => $login]);
    }

    /** @return list<Account> */
    public function all(): array
    {
        return $this->entities->getRepository(Account::class)->findBy(['leftAt' => null], ['name' => 'ASC']);
    }
}
