<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Kits\Kit;
use App\Kits\Rounds\HalfCut;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemIndex;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;

/** What happens to a tray's things at the bench. */
final readonly class WorkAtBench
{
    public function __construct(
        private LogBook $log,
        private EntityManagerInterface $entities,
        private Connection $database,
        private ItemIndex $index,
        private Places $places,
        private HalfCut $halfCut,
    ) {
    }

    /** @throws StepRefused if it is a thing that stays what it is while it is worked with */
    public function useUp(Step $step, Kit $kit, Item $item, int $quantity, string $note = ''): void
    {
        if ($item->lasts()) {
            throw MakingRefused::isNotUsedUp($item->name);
        }
        $this->halfCut->check($kit, $item);
        $kit->beginMaking();
        $this->log->move($step, $item->moves($quantity, $kit->trayInUse(), $this->places->outside(Outside::UsedUp), Reason::Use), $kit->inLog(), $note);
    }

    /**
     * The kit became something: the finished pieces lie on its tray, what went into them is used up. More of the same name are more
     * of the same.
     *
     * @param list<Taken> $goneInto
     */
    public function finish(Step $step, Kit $kit, string $name, int $quantity, ?Place $home, array $goneInto): Item
    {
        $kit->beginMaking();
        $tray = $kit->trayInUse();
        foreach ($goneInto as $taken) {
            $this->useUp($step, $kit, $taken->item, $taken->quantity, 'went into '.$name);
        }
        $piece = $this->madeBefore($kit, $name) ?? $this->newPiece($kit, $name);
        $piece->giveHome($home ?? $piece->home);
        $this->index->item($piece);
        $this->log->move($step, $piece->moves($quantity, $this->places->outside(Outside::MadeHere), $tray, Reason::Make), $kit->inLog());

        return $piece;
    }

    /**
     * One more piece is done, and took what the page showed.
     *
     * @param list<Taken> $takes
     *
     * @throws StepRefused if that one was done in the meantime
     */
    public function nextPiece(Step $step, Kit $kit, AtBench $bench, int $piece, array $takes): Item
    {
        if ($piece !== $bench->bench->done + 1) {
            throw MakingRefused::pieceIsDone($bench->makes->piece, $piece);
        }
        $made = $bench->made[0] ?? null;

        return $this->finish($step, $kit, $made->name ?? Makes::nameOfPieces($kit->name), 1, null, $takes);
    }

    private function madeBefore(Kit $kit, string $name): ?Item
    {
        $id = $this->database->fetchOne(
            'SELECT i.id FROM piece_made m JOIN item i ON i.id = m.item_id AND i.name = ? AND i.removed_at IS NULL WHERE m.kit_id = ?',
            [$name, $kit->id],
        );

        return false === $id ? null : $this->entities->find(Item::class, $id);
    }

    private function newPiece(Kit $kit, string $name): Item
    {
        $piece = new Item($name, Kind::FinishedPiece, Tracking::Count, null);
        $piece->describe($piece->record()->with(themes: '' === $kit->occasion ? [] : [$kit->occasion]));
        $this->entities->persist($piece);

        return $piece;
    }

    /** Who begins to work with what is on the tray has pulled enough. */
}
