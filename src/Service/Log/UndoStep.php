<?php

declare(strict_types=1);

namespace App\Service\Log;

use App\Entity\Item;
use App\Entity\Kit;
use App\Entity\Need;
use App\Service\Kit\KitList;
use App\Service\LogBook;
use App\Service\LogLine;
use App\Service\Step;
use App\Service\StepRefused;
use App\Service\Unknown;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;

/** Puts a step right by reversing what it moved, and wakes up the lines of the kit's list that it had settled. */
final readonly class UndoStep
{
    public function __construct(private LogBook $log, private KitList $list, private EntityManagerInterface $entities, private Connection $database)
    {
    }

    /** Reverses everything that one request moved, newest first. */
    public function wholeStep(Step $step, string $requestId): Item
    {
        $ids = $this->database->fetchFirstColumn(
            'SELECT m.id FROM movement m WHERE m.request_id = ? AND m.reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) ORDER BY m.id DESC',
            [$requestId],
        );
        if ([] === $ids) {
            throw StepRefused::nothingToUndo();
        }
        foreach ($ids as $id) {
            $item = $this->movement($step, (int) $id);
        }

        return $item;
    }

    /** Reverses one movement. */
    public function movement(Step $step, int $movementId): Item
    {
        $line = $this->log->reverse($step, $movementId);
        $this->checkTray($line);
        $this->wakeUp($line);

        return $this->entities->find(Item::class, $line->movement->item) ?? throw Unknown::item($line->movement->item);
    }

    /** A thing goes back onto a tray only while its own kit has it. */
    private function checkTray(LogLine $line): void
    {
        $back = $line->movement->from;
        if (PlaceNature::Tray !== $back->nature) {
            return;
        }
        $kit = null === $line->kitId ? null : $this->entities->find(Kit::class, $line->kitId);
        if ($kit?->tray?->id !== $back->id) {
            throw StepRefused::trayIsGone();
        }
    }

    private function wakeUp(LogLine $line): void
    {
        if (null === $line->kitId || !\in_array($line->movement->reason, [Reason::Pull, Reason::Lose], true)) {
            return;
        }
        $need = $this->entities->getRepository(Need::class)->findOneBy(['kit' => $line->kitId, 'item' => $line->movement->item]);
        if (null === $need || PlaceNature::Tray === $line->movement->from->nature) {
            return;
        }
        $need->putBack(Reason::Pull === $line->movement->reason ? $line->movement->quantity : 0);
        $this->list->forgetSubstitute($need);
    }
}
