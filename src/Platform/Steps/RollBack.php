<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Ends what was begun and did not come to its end. */
final readonly class RollBack
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database)
    {
    }

    /** A full disk may have ended the transaction already; what went wrong first is what counts. */
    public function __invoke(): void
    {
        try {
            $this->database->rollBack();
        } catch (\Throwable) {
            $this->database->close();
        }
        $this->entities->clear();
    }
}
