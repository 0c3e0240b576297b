<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Steps\Refusal;
use App\Platform\Steps\StepChange;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Asks every area whether what must be true of it is true after a step was taken back. */
final readonly class StillTrue
{
    /** @param iterable<StaysTrue> $laws */
    public function __construct(#[AutowireIterator(StaysTrue::class)] private iterable $laws, private Connection $database)
    {
    }

    /**
     * @param list<StepChange> $changes that were taken back
     *
     * @throws Refusal naming it if something would be kept, laid or walked twice
     */
    public function check(array $changes): void
    {
        $tables = array_unique(array_map(static fn (StepChange $change): string => $change->table, $changes));
        foreach ($this->laws as $law) {
            $broken = [] === array_intersect($law->restsOn(), $tables) ? false : $this->database->fetchOne($law->broken());
            if (false !== $broken) {
                throw $law->refusal(Row::word($broken));
            }
        }
    }
}
