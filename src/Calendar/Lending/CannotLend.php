<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Platform\Steps\Refusal;

/** A thing that cannot be lent, or come back so. */
final class CannotLend extends \DomainException implements Refusal
{
    private function __construct(string $message, private readonly ?string $field = null)
    {
        parent::__construct($message);
    }

    public static function isOut(string $name, string $where): self
    {
        return new self(\sprintf('%s cannot be lent: it is out, %s.', $name, $where));
    }

    public static function isNotThere(string $name): self
    {
        return new self(\sprintf('None of %s is in a drawer.', $name));
    }

    public static function isNotOurs(string $name, string $owner): self
    {
        return new self(\sprintf('%s belongs to %s; it goes back there and nowhere else.', $name, $owner));
    }

    public static function fewerAreThere(string $name, string $there): self
    {
        return new self(\sprintf('Of %s %s is in the drawers.', $name, $there), 'quantity');
    }

    public static function notSoMuch(string $name, string $person, bool $isOver): self
    {
        return $isOver
            ? new self(\sprintf('%s is settled with %s already.', $name, $person))
            : new self(\sprintf('Not so much of %s is open with %s.', $name, $person), 'quantity');
    }

    public static function isOnTray(string $name, string $where): self
    {
        return new self(\sprintf('%s cannot go back to its owner yet: it is out, %s. Bring it to its drawer first.', $name, $where));
    }

    public static function isUsedUp(string $name): self
    {
        return new self(\sprintf('Nothing of %s is left to give back. Settle it with its owner, and say here that it is settled.', $name));
    }

    public function field(): ?string
    {
        return $this->field;
    }
}
