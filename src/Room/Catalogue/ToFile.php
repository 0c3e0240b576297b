<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Homes\HomeProposal;

/** A thing that is to get a home, with what proposes itself. */
final readonly class ToFile
{
    /**
     * @param string $note why it is on the list
     * @param list<HomeProposal> $proposals
     */
    public function __construct(public ThingRow $row, public string $note, public array $proposals)
    {
    }
}
