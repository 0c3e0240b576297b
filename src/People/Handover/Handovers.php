<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Kits\Kits\Kit;
use App\Kits\Kits\OpenKits;
use App\Platform\Database\Row;
use App\Platform\Security\Account;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Upkeep\Rounds\UpkeepRound;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** The rounds that are on their way from one person to another. */
final readonly class Handovers
{
    private const OPEN = 'SELECT o.id, o.note, o.at, o.kit_id, o.errand_id, o.giver_id, o.taker_id, g.name AS giver, t.name AS taker,
        coalesce(k.name, e.name) AS name, k.stage FROM handover o JOIN account g ON g.id = o.giver_id JOIN account t ON t.id = o.taker_id
        LEFT JOIN kit k ON k.id = o.kit_id
        LEFT JOIN errand e ON e.id = o.errand_id
        WHERE o.taken_at IS NULL AND o.dropped_at IS NULL AND coalesce('.OpenKits::ARE.', e.ended_at IS NULL)';

    public function __construct(private EntityManagerInterface $entities, private Connection $database)
    {
    }

    /** @throws StepRefused if it is handed over already, to oneself, or the round is over */
    public function give(Step $step, ?Kit $kit, ?UpkeepRound $errand, Account $taker, string $note): Handover
    {
        $kit?->checkOpen();
        $errand?->checkIsOpen();
        $open = null !== $kit ? $this->ofKit((int) $kit->id) : $this->ofErrand((int) $errand?->id);
        if (null !== $open) {
            throw HandoverRefused::isHandedOver($open->taker);
        }
        if ($taker === $step->who) {
            throw HandoverRefused::isOnesOwn();
        }
        $this->entities->persist($handover = new Handover($kit, $errand, $step->who, $taker, $note, $step->at));
        $this->entities->flush();

        return $handover;
    }

    /** @throws Unknown if there is none of that number */
    public function one(int $id): Handover
    {
        return $this->entities->find(Handover::class, $id) ?? throw Unknown::step();
    }

    public function ofKit(int $kit): ?HandoverRow
    {
        return $this->rows(' AND o.kit_id = ?', $kit)[0] ?? null;
    }

    public function ofErrand(int $errand): ?HandoverRow
    {
        return $this->rows(' AND o.errand_id = ?', $errand)[0] ?? null;
    }

    /** @return list<HandoverRow> the last ones first */
    public function to(int $account): array
    {
        return $this->rows(' AND o.taker_id = ?', $account);
    }

    /** @return list<HandoverRow> */
    private function rows(string $which, int $value): array
    {
        return Row::each($this->database->fetchAllAssociative(self::OPEN.$which.' ORDER BY o.id DESC', [$value]), HandoverRow::of(...));
    }
}
