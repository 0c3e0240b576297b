<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\DesignedPieces;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Kits\DesignedList;
use App\Kits\Kits\Kit;
use App\Kits\Kits\Need;
use App\Platform\Web\Measures;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\DesignWords;
use Lottel\Core\Design\KeptDesign;
use Lottel\Core\Kit\Makes;

/** Lets a kit's design follow what a person changes on its list, at its cutting table, or in what it makes. */
final readonly class FollowChanges implements DesignedList, DesignedPieces
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Designs $designs,
        private KeepInStep $keepInStep,
        private BeginDesign $begin,
        private Measures $measures,
    ) {
    }

    public function wants(Need $need, int $quantity): void
    {
        $item = (int) $need->item->id;
        $this->change($need->kit, static function (Design $design) use ($item, $quantity): Design {
            $thing = $design->thing($item);

            return match (true) {
                null === $thing => $design,
                0 === $quantity => $design->notTaking($item),
                default => $design->taking($thing->wanting($quantity, $design->quantity)),
            };
        });
    }

    public function reads(Kit $kit, string $words): ?string
    {
        $read = DesignWords::read($words, $this->measures->measure());
        if (null === $read) {
            return null;
        }
        $kit->sayWhatItMakes(Makes::beginning($words, 200));
        $kit->rename(mb_strtoupper(mb_substr($kit->name, 0, 1)).mb_substr($kit->name, 1));
        ($this->begin)($kit, $read->design);

        return $read->sentence();
    }

    public function replaced(Need $need, Need $substitute): void
    {
        [$old, $new] = [(int) $need->item->id, (int) $substitute->item->id];
        $this->change($need->kit, static function (Design $design) use ($old, $new): Design {
            $thing = $design->thing($old);

            return null === $thing ? $design : $design->notTaking($old)->taking(new DesignThing($new, $thing->role, $thing->each, $thing->total));
        });
    }

    public function makes(Kit $kit, ?int $pieces): void
    {
        if (null !== $pieces) {
            $this->change($kit, static fn (Design $design): Design => $design->with(['quantity' => $pieces])->checked());
        }
    }

    public function cuts(PieceToCut $piece, int $quantity): void
    {
        $part = (string) $piece->part;
        $this->change($piece->kit, static function (Design $design) use ($part, $quantity): Design {
            foreach ($design->pieces() as $wanted) {
                if ($wanted->part === $part) {
                    return $design->sparing($part, $quantity - $wanted->each * $design->quantity);
                }
            }

            return $design;
        });
    }

    /** @param callable(Design): Design $change */
    private function change(Kit $kit, callable $change): void
    {
        $row = $this->designs->of($kit);
        if (null === $row) {
            return;
        }
        $before = $row->design();
        $after = $change($before);
        if (KeptDesign::of($after) !== KeptDesign::of($before)) {
            $row->put($after);
            $this->entities->flush();
            ($this->keepInStep)($kit, $after);
        }
    }
}
