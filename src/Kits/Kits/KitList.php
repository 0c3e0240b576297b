<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Log\RefusedMovement;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/** Writes a kit's list: what it needs of which item. */
final readonly class KitList
{
    /** @param \Closure(): DesignedList $design asked only where a line is the design's: that writes lists too */
    public function __construct(
        private EntityManagerInterface $entities,
        #[AutowireServiceClosure(DesignedList::class)]
        private \Closure $design,
    ) {
    }

    /**
     * @throws RefusedStage if the kit is closed
     * @throws RefusedMovement if the quantity cannot be
     */
    public function add(Kit $kit, Item $item, int $quantity): Need
    {
        $kit->checkOpen();
        $need = $this->entities->getRepository(Need::class)->findOneBy(['kit' => $kit, 'item' => $item]);
        if (null === $need) {
            $item->tracking->check($quantity);
            $need = new Need($kit, $item, $quantity);
            $this->entities->persist($need);
        } else {
            $need->wantMore($quantity);
        }
        $this->entities->flush();

        return $need;
    }

    /** So many sheets are for the kit's cuts, and were not on its list. */
    public function addForCuts(Kit $kit, Item $item, int $sheets): void
    {
        $need = new Need($kit, $item, $sheets);
        $need->wantForCuts($sheets, 0);
        $this->entities->persist($need);
    }

    /** So much is for the kit's design, and was not on its list. */
    public function addForDesign(Kit $kit, Item $item, int $quantity): void
    {
        $need = new Need($kit, $item, 0);
        $need->wantForDesign($quantity);
        $this->entities->persist($need);
    }

    /**
     * @throws RefusedMovement if the quantity cannot be
     * @throws RefusedStage if the kit is closed, or its cuts want more
     */
    public function change(Need $need, int $quantity): void
    {
        $need->kit->checkOpen();
        if ($quantity < $need->toCut()) {
            throw KitsRefused::isForCutting($need->item->name, $need->toCut());
        }
        $need->item->tracking->check($quantity);
        if ($need->forDesign() > 0) {
            ($this->design)()->wants($need, max(0, $quantity - $need->byHand()));
        }
        $need->want($quantity);
    }

    /**
     * @throws StepRefused if some of it is on the tray, or is to be cut
     * @throws RefusedStage if the kit is closed
     */
    public function remove(Need $need): void
    {
        $need->kit->checkOpen();
        if ($need->toCut() > 0) {
            throw KitsRefused::isForCutting($need->item->name, $need->toCut());
        }
        if ($need->isBegun()) {
            throw KitsRefused::isOnTheTray($need->item->name);
        }
        if ($need->forDesign() > 0) {
            ($this->design)()->wants($need, 0);
        }
        if ($this->entities->contains($need)) {
            $this->entities->remove($need);
        }
    }
}
