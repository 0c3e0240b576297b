<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use Doctrine\DBAL\Connection;
use Doctrine\Migrations\AbstractMigration;
use Psr\Log\LoggerInterface;

/** A migration that changes a table which the journal watches. */
abstract class WatchingMigration extends AbstractMigration
{
    public function __construct(Connection $connection, LoggerInterface $logger, private readonly StepJournal $journal)
    {
        parent::__construct($connection, $logger);
    }

    /** To be called in postUp(), when the tables are as they will be. */
    protected function watch(): void
    {
        $this->journal->install();
    }
}
