<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Steps\Refusal;

/** A finished piece that cannot go, or be kept for a day. */
final class CannotGive extends \DomainException implements Refusal
{
    private function __construct(string $message, private readonly ?string $field)
    {
        parent::__construct($message);
    }

    public static function notSoMany(string $name, int $there): self
    {
        $said = 0 === $there ? \sprintf('No %s is on the shelf any more.', $name) : \sprintf('Only %d of %s are on the shelf.', $there, $name);

        return new self($said, 'quantity');
    }

    /** @param list<AsideFor> $aside */
    public static function isKept(string $name, int $free, array $aside): self
    {
        $days = implode(', ', array_map(static fn (AsideFor $for): string => $for->name.' on '.$for->day->date()->format('j F'), $aside));

        $many = 0 === $free ? 'None' : (string) $free;

        return new self(\sprintf('%s of %s %s free; the others are kept for %s.', $many, $name, 1 === $free ? 'is' : 'are', $days), 'quantity');
    }

    public static function hadBefore(string $person, string $name, ?\DateTimeImmutable $when): self
    {
        return new self(\sprintf(
            '%s had %s%s already. Choose another card, or tick that it may go all the same.',
            $person,
            $name,
            null === $when ? '' : ' on '.$when->format('j F Y'),
        ), 'person');
    }

    public static function dayIsServed(string $occasion): self
    {
        return new self(\sprintf('As many as %s wants are kept for that day already.', $occasion), null);
    }

    public function field(): ?string
    {
        return $this->field;
    }
}
