<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Cutting\PlanCuts;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Need;
use App\Room\Catalogue\Item;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Kit\NeedState;

/**
 * Lets the pieces of a kit, its cut plan, its list and what it says that it makes follow its design. What is cut already stays: of a piece
 * that the design does not want any more, so many as there are; those that a person asked for at the cutting table are left alone.
 */
final readonly class KeepInStep
{
    public const MOST_PIECES = 2_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private CuttingOfKit $cutting,
        private PlanCuts $plan,
        private KitList $list,
    ) {
    }

    /** @throws InvalidPieces if it asks for more pieces than a plan can be made of */
    public function __invoke(Kit $kit, Design $design): void
    {
        $kit->sayWhatItMakes(Makes::numbered($kit->makes, $design->quantity));
        if ($this->pieces($kit, $design)) {
            ($this->plan)($kit);
        }
        $this->things($kit, $design);
        $this->entities->flush();
    }

    /** Whether anything about its pieces is another than before. */
    private function pieces(Kit $kit, Design $design): bool
    {
        $there = array_filter($this->cutting->pieces($kit), static fn (PieceToCut $piece): bool => null !== $piece->part);
        $isChanged = false;
        $all = 0;
        foreach ($design->pieces() as $wanted) {
            $paper = $this->paperOf($wanted);
            $quantity = $wanted->quantity($design->quantity);
            if (null === $paper || 0 === $quantity) {
                continue;
            }
            $all += $quantity;
            if ($quantity > PieceToCut::MOST || $all > self::MOST_PIECES) {
                throw InvalidPieces::quantityIsOut('The pieces of the design', $quantity > PieceToCut::MOST ? PieceToCut::MOST : self::MOST_PIECES);
            }
            $piece = PieceToCut::designed($kit, $paper, $wanted, $quantity);
            $like = array_values(array_filter($there, static fn (PieceToCut $other): bool => $other->isLike($piece)))[0] ?? null;
            if (null === $like) {
                $this->entities->persist($piece);
                $isChanged = true;
                continue;
            }
            unset($there[(int) $like->id]);
            $like->standFor($wanted->part);
            $isChanged = $this->change($like, $quantity) || $isChanged;
        }
        foreach ($there as $gone) {
            $isChanged = $this->change($gone, 0) || $isChanged;
        }

        return $isChanged;
    }

    /** So many of a piece from now on, and no fewer than are cut already; whether that is another number. */
    private function change(PieceToCut $piece, int $quantity): bool
    {
        $quantity = max($quantity, $this->cutting->begun($piece));
        if (0 === $quantity) {
            $this->entities->remove($piece);

            return true;
        }
        $isChanged = $piece->quantity !== $quantity;
        $piece->want($quantity);

        return $isChanged;
    }

    private function paperOf(DesignPiece $wanted): ?Item
    {
        $paper = null === $wanted->paper ? null : $this->entities->find(Item::class, $wanted->paper->item);

        return null !== $paper && null === $paper->removedAt && $paper->canBeCut() ? $paper : null;
    }

    private function things(Kit $kit, Design $design): void
    {
        $needs = $this->entities->getRepository(Need::class)->findBy(['kit' => $kit]);
        $wanted = [];
        foreach ($design->things as $thing) {
            $wanted[$thing->item] = $thing->quantity($design->quantity);
        }
        foreach ($needs as $need) {
            $quantity = $wanted[(int) $need->item->id] ?? 0;
            unset($wanted[(int) $need->item->id]);
            if (NeedState::Replaced === $need->state()) {
                continue;
            }
            if ($quantity !== $need->forDesign()) {
                $need->isWantedWithDesign($quantity) ? $need->wantForDesign($quantity) : $this->entities->remove($need);
            }
        }
        foreach ($wanted as $item => $quantity) {
            $thing = $this->entities->find(Item::class, $item);
            if (null !== $thing && null === $thing->removedAt) {
                $this->list->addForDesign($kit, $thing, $quantity);
            }
        }
    }
}
