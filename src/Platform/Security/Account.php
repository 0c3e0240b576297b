<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

#[ORM\Entity]
class Account implements UserInterface, PasswordAuthenticatedUserInterface, EquatableInterface
{
    /** A hash that no password has. */
    private const NO_PASSWORD = '!';

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 255)]
    public string $password = '';

    /** Since when somebody no longer works here; the log keeps the name. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $leftAt = null;

    /** Whether a grown-up has to hand them some things. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isChild = false;

    /** Counted up to end all sessions. */
    #[ORM\Column(options: ['default' => 0])]
    public int $signIns = 0;

    public function __construct(
        #[ORM\Column(length: 60, options: ['collation' => 'NOCASE'])]
        public string $login,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 10)]
        public Role $role,
    ) {
    }

    /** Signs in with a password from now on, of which only the hash is kept. */
    public function signInWith(#[\SensitiveParameter] string $hash): void
    {
        $this->password = $hash;
    }

    /** All sessions of that person end. */
    public function endSessions(): void
    {
        ++$this->signIns;
    }

    public function markChild(bool $isChild): void
    {
        $this->isChild = $isChild;
    }

    /** Works here no longer: no password fits, all sessions end, the log-in is free for somebody else, and the log keeps the name. */
    public function leave(\DateTimeImmutable $at): void
    {
        [$this->leftAt, $this->login, $this->password] = [$at, '~'.$this->id, self::NO_PASSWORD];
        $this->endSessions();
    }

    /** Whether a session that began with this account may go on with that one. */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof self && null === $user->leftAt && $user->id === $this->id && $user->role === $this->role
            && $user->signIns === $this->signIns && hash_equals($this->password, $user->password);
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
