<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

/** Numbers that no class can have. */
final class InvalidWorkshop extends \DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function persons(int $most): self
    {
        return new self('persons', \sprintf('A class has from 1 to %d persons.', $most));
    }

    public static function spares(int $most): self
    {
        return new self('spares', \sprintf('Spare sets: from none to %d.', $most));
    }

    public static function each(int $most): self
    {
        return new self('each', \sprintf('Each one gets from 1 to %s.', number_format($most)));
    }

    public static function among(int $persons): self
    {
        return new self('among', \sprintf('It is shared by from 1 to %d persons.', $persons));
    }

    public static function moreCameBack(): self
    {
        return new self('back', 'More came back than left.');
    }
}
