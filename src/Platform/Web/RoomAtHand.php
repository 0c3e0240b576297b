<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Contracts\Service\ResetInterface;

/** The room that is served: its name, how it measures, in which zone its days begin. */
final class RoomAtHand implements ResetInterface
{
    private ?RoomCard $card = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->card = null;
    }

    public function card(): RoomCard
    {
        if (null === $this->card) {
            $columns = $this->database->fetchAssociative('SELECT name, measure, time_zone FROM room ORDER BY id LIMIT 1');
            $row = new Row(false === $columns ? ['name' => '', 'measure' => LengthUnit::Inch->value, 'time_zone' => 'UTC'] : $columns);
            $this->card = new RoomCard($row->text('name'), $row->one('measure', LengthUnit::class), $row->text('time_zone'));
        }

        return $this->card;
    }
}
