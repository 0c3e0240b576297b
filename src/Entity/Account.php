<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

#[ORM\Entity]
class Account implements UserInterface, PasswordAuthenticatedUserInterface
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 255)]
    public string $password = '';

    public function __construct(
        #[ORM\Column(length: 60)]
        public string $login,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 10)]
        public Role $role,
    ) {
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->login ? throw new \LogicException('An account has a log-in.') : $this->login;
    }

    public function getRoles(): array
    {
        return [Role::Owner === $this->role ? 'ROLE_OWNER' : 'ROLE_HELPER'];
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }
}
