<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Care\FreshInk;
use Lottel\Core\Catalogue\Kind;
use Symfony\Component\Clock\ClockInterface;

/** Pads that were inked anew, and how long they lie flat. */
final readonly class LayFlat
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database, private ClockInterface $clock)
    {
    }

    /** @throws StepRefused if it is no ink */
    public function inked(Step $step, Item $item, int $days): \DateTimeImmutable
    {
        if (Kind::Ink !== $item->kind) {
            throw CatalogueRefused::isNoInk($item->name);
        }
        $until = FreshInk::until($step->at, $days);
        $rest = $this->entities->getRepository(Rest::class)->findOneBy(['item' => $item]);
        if (null === $rest) {
            $this->entities->persist(new Rest($item, $until));
        } else {
            $rest->until($until);
        }

        return $until;
    }

    /** Until when a thing lies flat; null where it need not. */
    public function until(int $item): ?\DateTimeImmutable
    {
        $until = $this->database->fetchOne('SELECT until FROM rest WHERE item_id = ? AND until > ?', [
            $item, $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'),
        ]);

        return false === $until ? null : new \DateTimeImmutable(Row::word($until), new \DateTimeZone('UTC'));
    }
}
