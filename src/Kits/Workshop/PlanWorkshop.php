<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Cutting\AskForPieces;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Kits\DesignedList;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Need;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Workshop\Share;

/** Says who comes to a class and what each one gets; the kit's list, its cuts and its design follow. */
final readonly class PlanWorkshop
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Workshops $workshops,
        private KitList $list,
        private AskForPieces $pieces,
        private DesignedList $design,
    ) {
    }

    /** @throws RefusedStage if the kit is closed */
    public function __invoke(Kit $kit, WorkshopDescription $said): Workshop
    {
        $kit->checkOpen();
        $workshop = $this->workshops->of($kit);
        if (null === $workshop) {
            $this->entities->persist($workshop = new Workshop($kit));
        }
        $isOther = null === $workshop->id || !$workshop->isFor($said);
        $workshop->say($said);
        if ($isOther) {
            $pieces = $said->makes * $said->class->sets();
            if ('' !== $kit->makes) {
                $kit->sayWhatItMakes(Makes::numbered($kit->makes, $pieces));
            }
            $this->design->makes($kit, $pieces);
            $this->follow($workshop);
        }
        $this->entities->flush();

        return $workshop;
    }

    /**
     * @param array<int, Share> $needs how lines of the list are dealt out, by number
     * @param array<int, Share> $pieces how pieces to cut are dealt out, by number
     * @param list<string> $toNobody keys of lines, such as `need-4`, that nobody gets any more
     */
    public function dealOut(Workshop $workshop, array $needs, array $pieces, array $toNobody = []): void
    {
        $workshop->kit->checkOpen();
        $before = $workshop->dealt();
        foreach ($needs as $id => $share) {
            $this->dealt($workshop, $share, $this->entities->find(Need::class, $id), null);
        }
        foreach ($pieces as $id => $share) {
            $this->dealt($workshop, $share, null, $this->entities->find(PieceToCut::class, $id));
        }
        foreach ($workshop->shares as $dealt) {
            if (\in_array($dealt->key(), $toNobody, true)) {
                $workshop->shares->removeElement($dealt);
            }
        }
        if ($before !== $workshop->dealt()) {
            $this->follow($workshop);
        }
        $this->entities->flush();
    }

    private function dealt(Workshop $workshop, Share $share, ?Need $need, ?PieceToCut $piece): void
    {
        $known = $workshop->shares->filter(static fn (DealtOut $dealt): bool => $dealt->need === $need && $dealt->piece === $piece)->first();
        if (false === $known) {
            $this->entities->persist(new DealtOut($workshop, $need, $piece, $share));
        } else {
            $known->say($share);
        }
    }

    /** The list wants what is dealt out, and bags that were packed before are to be looked at again. */
    private function follow(Workshop $workshop): void
    {
        $class = $workshop->headcount();
        foreach ($workshop->shares as $dealt) {
            $wanted = $dealt->share()->wanted($class);
            if (null !== $dealt->piece) {
                $this->pieces->change($dealt->piece, $wanted);
            } elseif (null !== $dealt->need && 0 === $dealt->need->forDesign()) {
                $this->list->change($dealt->need, $dealt->need->toCut() + ($dealt->need->item->tracking->movesWhole() ? 1 : $wanted));
            }
        }
        $workshop->bags->clear();
    }
}
