<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Step;
use App\Room\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Kit\Stage;

/** Gives a kit the lowest free tray and begins, or goes on with, its pull round. */
final readonly class StartPull
{
    private const TRAYS = 24;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws RefusedStage if nothing is on its list, it is closed, or no tray is free */
    public function __invoke(Step $step, Kit $kit): void
    {
        if ($kit->isPlanned()) {
            $this->entities->refresh($kit);
            if ($kit->needs->isEmpty()) {
                throw RefusedStage::nothingIsPlanned();
            }
        }
        $this->open($step, $kit);
    }

    /** @throws RefusedStage if the kit is closed or no tray is free */
    public function open(Step $step, Kit $kit): void
    {
        $kit->goTo(Stage::Pulling);
        if (!$kit->hasTray()) {
            $kit->goOnto($this->freeTray(), $step->at);
        }
        $this->entities->flush();
    }

    /** @throws RefusedStage if no tray is free */
    public function freeTray(): Place
    {
        $places = $this->entities->getRepository(Place::class);
        for ($number = 1; $number <= self::TRAYS; ++$number) {
            $tray = $places->findOneBy(['address' => 'tray '.$number]);
            if (null === $tray) {
                $tray = Place::tray($number);
                $this->entities->persist($tray);

                return $tray;
            }
            if (null === $this->entities->getRepository(Kit::class)->findOneBy(['tray' => $tray])) {
                return $tray;
            }
        }
        throw RefusedStage::allTraysAreTaken(self::TRAYS);
    }
}
