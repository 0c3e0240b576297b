<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Items;
use App\Room\Log\ForKit;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Log\Reason;

/** Puts a pulled kit into a numbered folder that stands in its own place, so that its tray is free; or takes it up again. */
final readonly class ParkKit
{
    private const FOLDERS = 60;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private StartPull $trays,
        private Items $items,
        private LogBook $log,
    ) {
    }

    /**
     * @param Place|null $home where the folder stands
     *
     * @throws RefusedStage if the kit has no tray
     * @throws StepRefused if it is parked already, or no folder is free
     */
    public function __invoke(Step $step, Kit $kit, ?Place $home): Place
    {
        $tray = $kit->trayInUse();
        if ($kit->isParked()) {
            throw KitsRefused::isParked($kit->name, $tray->address);
        }
        $folder = $this->freeFolder();
        $folder->giveHome($home);
        $this->carry($step, $kit, $tray, $folder->place);

        return $folder->place;
    }

    /**
     * @throws RefusedStage if the kit has no tray, or no tray is free
     * @throws StepRefused if it is on a tray already
     */
    public function takeUp(Step $step, Kit $kit): Place
    {
        $folder = $kit->trayInUse();
        if (!$kit->isParked()) {
            throw KitsRefused::isNotParked($kit->name, $folder->address);
        }
        $tray = $this->trays->freeTray();
        $this->carry($step, $kit, $folder, $tray);

        return $tray;
    }

    private function carry(Step $step, Kit $kit, Place $from, Place $to): void
    {
        $this->entities->flush();
        $for = new ForKit((int) $kit->id, $from->id, $to->id);
        foreach ($this->database->fetchAllAssociative('SELECT item_id, quantity FROM balance WHERE place_id = ?', [$from->id]) as $columns) {
            $row = new Row($columns);
            $this->log->move($step, $this->items->one($row->int('item_id'))->moves($row->int('quantity'), $from, $to, Reason::Park), $for);
        }
        $kit->carryTo($to);
        $this->entities->flush();
    }

    private function freeFolder(): Folder
    {
        $places = $this->entities->getRepository(Place::class);
        for ($number = 1; $number <= self::FOLDERS; ++$number) {
            $place = $places->findOneBy(['address' => 'folder '.$number]);
            if (null === $place) {
                $this->entities->persist($place = Place::folder($number));
                $this->entities->persist($folder = new Folder($place));

                return $folder;
            }
            if (null === $this->entities->getRepository(Kit::class)->findOneBy(['tray' => $place])) {
                return $this->entities->getRepository(Folder::class)->findOneBy(['place' => $place]) ?? throw new \LogicException('A folder is one.');
            }
        }
        throw KitsRefused::allFoldersAreTaken(self::FOLDERS);
    }
}
