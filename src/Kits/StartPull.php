<?php

declare(strict_types=1);

namespace App\Kits;

use App\Steps\Step;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStep;
use Lottel\Core\Kit\Stage;

/** Gives a kit the lowest free tray and begins, or goes on with, its pull round. */
final readonly class StartPull
{
    private const TRAYS = 24;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws RefusedStep if nothing is on its list, it is closed, or no tray is free */
    public function __invoke(Step $step, Kit $kit): void
    {
        if ($kit->isPlanned()) {
            $this->entities->refresh($kit);
            if ($kit->needs->isEmpty()) {
                throw RefusedStep::nothingIsPlanned();
            }
        }
        $this->open($step, $kit);
    }

    /** @throws RefusedStep if the kit is closed or no tray is free */
    public function open(Step $step, Kit $kit): void
    {
        $kit->goTo(Stage::Pulling);
        if (!$kit->hasTray()) {
            $kit->goOnto($this->freeTray(), $step->at);
        }
        $this->entities->flush();
    }

    /** @throws RefusedStep if no tray is free */
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
        throw RefusedStep::allTraysAreTaken(self::TRAYS);
    }
}
