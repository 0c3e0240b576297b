<?php

declare(strict_types=1);

namespace App\Kits\Propose;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Proposal\PartOfCard;
use Lottel\Core\Proposal\Proposal;
use Lottel\Core\Proposal\ThingToUse;
use Lottel\Core\Round\RoundTime;
use Lottel\Core\Words\Counted;

/** A proposal with its things as a page shows them. */
final readonly class ProposedKit
{
    /**
     * @param array<int, ThingLine> $things by item
     * @param array<string, int|null> $uses how much of a part is used up: sheets of a paper, pieces of what is counted; by PartOfCard
     */
    public function __construct(public Proposal $proposal, private array $things, public int $minutes, private array $uses)
    {
    }

    /** @return list<array{PartOfCard, ThingLine, string}> its parts, and why each */
    public function parts(): array
    {
        $parts = [];
        foreach (PartOfCard::cases() as $part) {
            $thing = $this->proposal->part($part);
            if (null !== $thing && isset($this->things[$thing->id])) {
                $long = $thing->idleInWords();
                $idle = '' === $long ? '' : 'not used for '.$long;
                $why = array_filter([$thing->isScrap ? 'a scrap' : '', $idle, $this->usedUp($part)], static fn (string $one): bool => '' !== $one);
                $parts[] = [$part, $this->things[$thing->id], implode(', ', $why)];
            }
        }

        return $parts;
    }

    private function usedUp(PartOfCard $part): string
    {
        $uses = $this->uses[$part->value] ?? null;

        return match (true) {
            null === $uses => '',
            PartOfCard::Embellishment === $part => 'takes '.$uses,
            default => 'takes '.Counted::of($uses, 'sheet'),
        };
    }

    /** How long it takes to get at its things, one by one from the bench, in words; an estimate. */
    public function reach(): string
    {
        return RoundTime::inWords(array_sum(array_map(static fn (ThingToUse $thing): float => $thing->seconds, $this->proposal->parts)));
    }

    /** @return list<ThingLine> what goes with its stamps */
    public function dies(): array
    {
        return array_values(array_intersect_key($this->things, array_flip($this->proposal->part(PartOfCard::Stamps)->with ?? [])));
    }
}
