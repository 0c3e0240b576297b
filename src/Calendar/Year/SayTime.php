<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStage;

/** Writes down when a kit is due and how long it takes. */
final readonly class SayTime
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param int|null $minutes null where it is to be estimated
     *
     * @throws RefusedStage if the kit is closed
     */
    public function __invoke(Kit $kit, ?\DateTimeImmutable $due, ?int $minutes, int $dryingDays, ?\DateTimeImmutable $readyFrom): void
    {
        $kit->checkOpen();
        $kit->setDue($due);
        $time = $this->entities->getRepository(TimeOfKit::class)->findOneBy(['kit' => $kit]) ?? new TimeOfKit($kit);
        $time->say($minutes, $dryingDays, $readyFrom);
        $isSaid = null !== $minutes || $dryingDays > 0 || null !== $readyFrom;
        match (true) {
            $isSaid => $this->entities->persist($time),
            null !== $time->id => $this->entities->remove($time),
            default => null,
        };
    }
}
