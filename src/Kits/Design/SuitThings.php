<?php

declare(strict_types=1);

namespace App\Kits\Design;

use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\FoamSquares;
use Lottel\Core\Design\ThingRole;

/** Lets what follows from a design's size and layers follow it: the foam that its layers take, the envelope that takes it. */
final readonly class SuitThings
{
    public function __construct(private Connection $database, private EnvelopesInStock $envelopes)
    {
    }

    /** @param Design|null $before how it was, null where it is new */
    public function __invoke(Design $design, ?Design $before): Design
    {
        return $this->withEnvelope($this->withFoam($design, $before), $before);
    }

    private function withFoam(Design $design, ?Design $before): Design
    {
        $squares = FoamSquares::onCard($design);
        $wasThere = null === $before ? 0 : FoamSquares::onCard($before);
        $foam = $design->inRole(ThingRole::Foam);
        if (0 === $squares) {
            return null === $foam ? $design : $design->notTaking($foam->item);
        }
        if (null !== $foam) {
            return $foam->each === $wasThere ? $design->taking(new DesignThing($foam->item, ThingRole::Foam, $squares)) : $design;
        }
        $item = 0 === $wasThere ? $this->foamInStock() : null;

        return null === $item ? $design : $design->taking(new DesignThing($item, ThingRole::Foam, $squares));
    }

    private function withEnvelope(Design $design, ?Design $before): Design
    {
        $envelope = $design->inRole(ThingRole::Envelope);
        if (!$design->form->isPosted() || (null === $envelope && null !== $before)) {
            return $design;
        }
        $choices = $this->envelopes->for($design);
        $now = array_values(array_filter($choices, static fn (EnvelopeChoice $choice): bool => $choice->item === $envelope?->item))[0] ?? null;
        if (true === $now?->fit->isPossible()) {
            return $design;
        }
        $best = $choices[0] ?? null;

        return true === $best?->fit->isPossible() ? $design->taking(new DesignThing($best->item, ThingRole::Envelope, 1)) : $design;
    }

    /** Squares of foam that are counted, those of which there is most. */
    private function foamInStock(): ?int
    {
        $item = $this->database->fetchOne(
            "SELECT i.id FROM item i JOIN stock_of_item s ON s.item_id = i.id AND s.here > 0
             WHERE i.kind = 'adhesive' AND i.tracking = 'count' AND i.removed_at IS NULL AND lower(i.name) LIKE '%foam square%' AND i.name NOT LIKE '%sheet%'
             ORDER BY s.here DESC, i.id LIMIT 1",
        );

        return \is_int($item) ? $item : null;
    }
}
