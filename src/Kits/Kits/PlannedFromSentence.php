<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** A kit that was planned from a sentence, and what is told of how the sentence was read. */
#[Exclude]
final readonly class PlannedFromSentence
{
    public function __construct(public Kit $kit, public bool $isDesigned, public string $told)
    {
    }

    public function sentence(): string
    {
        return \sprintf('“%s” is planned%s. %s', $this->kit->name, $this->isDesigned ? ', with its design' : '', $this->told);
    }
}
