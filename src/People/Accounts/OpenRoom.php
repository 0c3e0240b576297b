<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\Account;
use App\Platform\Security\Role;
use App\Room\Stores\Room;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** The first run: a room and its owner. Later: further people. */
final readonly class OpenRoom
{
    public function __construct(private EntityManagerInterface $entities, private UserPasswordHasherInterface $hasher)
    {
    }

    public function isOpen(): bool
    {
        return $this->entities->getRepository(Account::class)->count() > 0;
    }

    public function __invoke(string $roomName, LengthUnit $measure, string $timeZone, Newcomer $owner): Account
    {
        return $this->entities->wrapInTransaction(function () use ($roomName, $measure, $timeZone, $owner): Account {
            if ($this->isOpen()) {
                throw RoomIsOpen::already();
            }
            $this->entities->persist(new Room($roomName, $measure, $timeZone));

            return $this->welcome($owner, Role::Owner);
        });
    }

    public function welcome(Newcomer $newcomer, Role $role): Account
    {
        if (null !== $this->entities->getRepository(Account::class)->findOneBy(['login' => $newcomer->login])) {
            throw new \DomainException(\sprintf('There is somebody with the log-in “%s” already.', $newcomer->login));
        }
        $account = new Account($newcomer->login, $newcomer->name, $role);
        $account->signInWith($this->hasher->hashPassword($account, $newcomer->password));
        $account->markChild($newcomer->isChild);
        $this->entities->persist($account);

        return $account;
    }
}
