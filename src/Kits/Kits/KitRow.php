<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use Lottel\Core\Kit\DueDate;
use Lottel\Core\Kit\Stage;

/** A kit with its tray, how many lines its list has, and how many different things of it are out. */
final readonly class KitRow
{
    private function __construct(
        public int $id,
        public string $name,
        public string $makes,
        public string $forWhom,
        public string $occasion,
        public string $note,
        public Stage $stage,
        public ?string $tray,
        public ?int $trayId,
        public ?string $dueOn,
        public DueDate $due,
        public ?\DateTimeImmutable $closedAt,
        public int $lines,
        public int $openLines,
        public int $out,
    ) {
    }

    public static function of(Row $row, DueDate $due): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('makes'),
            $row->text('for_whom'),
            $row->text('occasion'),
            $row->text('note'),
            $row->one('stage', Stage::class),
            $row->textOrNull('tray'),
            $row->intOrNull('tray_id'),
            $row->textOrNull('due_on'),
            $due,
            $row->timeOrNull('closed_at'),
            $row->int('lines'),
            $row->int('open_lines'),
            $row->int('out'),
        );
    }

    public function isPlanned(): bool
    {
        return Stage::Planned === $this->stage;
    }

    public function isPulling(): bool
    {
        return Stage::Pulling === $this->stage;
    }

    public function isReturning(): bool
    {
        return Stage::Returning === $this->stage;
    }

    public function isClosed(): bool
    {
        return Stage::Closed === $this->stage;
    }

    public function isOut(): bool
    {
        return null !== $this->tray;
    }

    /** Whether it waits in a folder. */
    public function isParked(): bool
    {
        return str_starts_with((string) $this->tray, 'folder ');
    }

    /** What is written on its tray or folder. */
    public function trayNumber(): string
    {
        return str_replace(['tray ', 'folder '], ['', 'F'], (string) $this->tray);
    }
}
