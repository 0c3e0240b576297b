<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\Account;
use App\Platform\Security\Role;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Passwords, sessions, and leaving. The log keeps the names of those who left. */
final readonly class KeepPeople
{
    public function __construct(private EntityManagerInterface $entities, private UserPasswordHasherInterface $hasher)
    {
    }

    public function fits(Account $account, #[\SensitiveParameter] string $password): bool
    {
        return $this->hasher->isPasswordValid($account, $password);
    }

    /** Sets a password; all other sessions of that person end. */
    public function setPassword(Account $account, #[\SensitiveParameter] string $password): void
    {
        $account->signInWith($this->hasher->hashPassword($account, $password));
        $this->endSessions($account);
    }

    public function endSessions(Account $account): void
    {
        $account->endSessions();
    }

    /** @throws StepRefused if it is an owner, who is grown up */
    public function markChild(Account $account, bool $isChild): void
    {
        if ($isChild && Role::Owner === $account->role) {
            throw AccountsRefused::ownerIsGrownUp($account->name);
        }
        $account->markChild($isChild);
    }

    /** @throws StepRefused if nobody would be left to look after the room */
    public function remove(Step $step, Account $account): void
    {
        if (Role::Owner === $account->role && 1 === $this->entities->getRepository(Account::class)->count(['role' => Role::Owner, 'leftAt' => null])) {
            throw AccountsRefused::lastOwner($account->name);
        }
        $account->leave($step->at);
    }
}
