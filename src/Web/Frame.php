<?php

declare(strict_types=1);

namespace App\Web;

use App\Database\Row;
use App\Security\Account;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Kit\DueDate;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\WeightFormat;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Contracts\Service\ResetInterface;

/** What every page shows around its own matter: the room's name and measure, the trays, what is out, what was just done. */
final class Frame implements ResetInterface
{
    /** @var array{name: string, measure: string, time_zone: string}|null */
    private ?array $room = null;

    /** @var list<TrayCard>|null */
    private ?array $trays = null;

    public function __construct(private readonly Connection $database, private readonly RequestStack $requests, private readonly ClockInterface $clock, private readonly Security $security, private readonly bool $isDemo)
    {
    }

    private ?ColourWords $colours = null;

    public function reset(): void
    {
        $this->room = $this->trays = $this->colours = null;
    }

    public function isDemo(): bool
    {
        return $this->isDemo;
    }

    /** @return array{name: string, measure: string, time_zone: string} */
    public function room(): array
    {
        if (null === $this->room) {
            $row = $this->database->fetchAssociative('SELECT name, measure, time_zone FROM room ORDER BY id LIMIT 1') ?: [];
            $this->room = ['name' => (string) ($row['name'] ?? ''), 'measure' => (string) ($row['measure'] ?? 'in'), 'time_zone' => (string) ($row['time_zone'] ?? 'UTC')];
        }

        return $this->room;
    }

    public function measure(): LengthUnit
    {
        return LengthUnit::from($this->room()['measure']);
    }

    public function quantities(): QuantityText
    {
        return new QuantityText($this->measure());
    }

    public function lengths(): LengthFormat
    {
        return new LengthFormat($this->measure());
    }

    public function weights(): WeightFormat
    {
        return new WeightFormat($this->measure());
    }

    /** Colours by the words that are known everywhere, and by the names that the room gives them. */
    public function colours(): ColourWords
    {
        return $this->colours ??= new ColourWords($this->ownColours());
    }

    /** @return array<string, string> hex by name, of the colours that things of this room have */
    public function ownColours(): array
    {
        return array_map(strval(...), $this->database->fetchAllKeyValue("SELECT colour_name, max(colour) FROM item WHERE colour IS NOT NULL AND colour_name <> '' AND removed_at IS NULL GROUP BY colour_name COLLATE NOCASE ORDER BY colour_name LIMIT 400"));
    }

    public function timeZone(): \DateTimeZone
    {
        return new \DateTimeZone($this->room()['time_zone']);
    }

    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->timeZone());
    }

    /** Returns an address as it is stored, or the text itself where it is none. */
    public function address(string $typed): string
    {
        try {
            return (string) Address::parse($typed);
        } catch (InvalidAddress) {
            return $typed;
        }
    }

    /** @return list<TrayCard> the open kits in order of their trays */
    public function trays(): array
    {
        return $this->trays ??= array_map(fn (array $row): TrayCard => $this->tray(new Row($row)), $this->database->fetchAllAssociative(
            'SELECT k.id, k.name, k.stage, k.due_on, k.out_since, CAST(substr(p.address, 6) AS INTEGER) AS number, (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS out
             FROM kit k JOIN place p ON p.id = k.tray_id ORDER BY number',
        ));
    }

    public function thingsOut(): int
    {
        return array_sum(array_map(static fn (TrayCard $tray): int => $tray->out, $this->trays()));
    }

    public function notFiled(): int
    {
        return (int) $this->database->fetchOne("SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature = 'unfiled'");
    }

    /**
     * Returns what the page before this one did, and whether it can be undone.
     *
     * @return array{id: string, said: string, undoable: bool}|null
     */
    public function done(): ?array
    {
        $id = $this->requests->getMainRequest()?->query->all()['done'] ?? null;
        if (!\is_string($id) || 36 !== \strlen($id)) {
            return null;
        }
        $row = $this->database->fetchAssociative(
            'SELECT w.id, w.account_id, w.said, w.is_undoable AND w.undone_by IS NULL AND EXISTS (SELECT 1 FROM step_change c WHERE c.request_id = w.id) AS undoable
             FROM write_request w WHERE w.id = ?',
            [$id],
        );

        return false === $row || '' === $row['said'] || (int) $row['account_id'] !== $this->me() ? null : ['id' => (string) $row['id'], 'said' => (string) $row['said'], 'undoable' => (bool) $row['undoable']];
    }

    private function me(): ?int
    {
        $user = $this->security->getUser();

        return $user instanceof Account ? $user->id : null;
    }

    private function tray(Row $row): TrayCard
    {
        $since = $row->timeOrNull('out_since');

        return TrayCard::of($row, null === $since ? '' : $this->age($since), $this->due($row->textOrNull('due_on')));
    }

    private function age(\DateTimeImmutable $time): string
    {
        $since = $time->setTimezone($this->timeZone());
        $days = (int) $since->setTime(0, 0)->diff($this->today()->setTime(0, 0))->days;

        return match (true) {
            0 === $days => 'since '.$since->format('G:i'),
            1 === $days => '1 day',
            default => $days.' days',
        };
    }

    public function due(?string $day): DueDate
    {
        return DueDate::of(null === $day ? null : new \DateTimeImmutable(substr($day, 0, 10), $this->timeZone()), $this->today());
    }
}
