<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\Stage;

/** A kit that wants an item or had it. */
final readonly class KitOfItem
{
    private function __construct(public int $id, public string $name, public Stage $stage, public NeedState $state)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->int('id'), $row->text('name'), $row->one('stage', Stage::class), $row->one('state', NeedState::class));
    }

    public function isPlanned(): bool
    {
        return Stage::Planned === $this->stage;
    }
}
