<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Database\Row;
use App\Platform\Security\Account;
use App\Platform\Steps\HalfUndone;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Kit\DueDate;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use Lottel\Core\Measure\VolumeFormat;
use Lottel\Core\Measure\WeightFormat;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Contracts\Service\ResetInterface;

/** What every page shows around its own matter: the room's name and measure, the trays, what is out, what was just done. */
final class Frame implements ResetInterface
{
    private ?RoomCard $room = null;

    /** @var list<TrayCard>|null */
    private ?array $trays = null;

    private ?ColourWords $colours = null;

    public function __construct(
        private readonly Connection $database,
        private readonly RequestStack $requests,
        private readonly ClockInterface $clock,
        private readonly Security $security,
        private readonly bool $isDemo,
    ) {
    }

    public function reset(): void
    {
        $this->room = $this->trays = $this->colours = null;
    }

    public function isDemo(): bool
    {
        return $this->isDemo;
    }

    /** Whether the catalogue has nothing in it yet. */
    public function isBare(): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM item WHERE removed_at IS NULL LIMIT 1');
    }

    public function room(): RoomCard
    {
        if (null === $this->room) {
            $columns = $this->database->fetchAssociative('SELECT name, measure, time_zone FROM room ORDER BY id LIMIT 1');
            $row = new Row(false === $columns ? ['name' => '', 'measure' => LengthUnit::Inch->value, 'time_zone' => 'UTC'] : $columns);
            $this->room = new RoomCard($row->text('name'), $row->one('measure', LengthUnit::class), $row->text('time_zone'));
        }

        return $this->room;
    }

    public function measure(): LengthUnit
    {
        return $this->room()->measure;
    }

    public function isMetric(): bool
    {
        return LengthUnit::Millimetre === $this->measure();
    }

    /** What is usual as the room measures. */
    public function usual(): Usual
    {
        return Usual::in($this->measure());
    }

    /** An example of a quantity, as a person here may type it. */
    public function example(Tracking $tracking): string
    {
        return match ($tracking) {
            Tracking::One => '1',
            Tracking::Count => '12',
            Tracking::Length => $this->usual()->exampleOfRibbon(),
            Tracking::Level => 'half',
        };
    }

    public function quantities(): QuantityText
    {
        return new QuantityText($this->measure());
    }

    public function lengths(): LengthFormat
    {
        return new LengthFormat($this->measure());
    }

    public function volumes(): VolumeFormat
    {
        return new VolumeFormat($this->measure());
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
        $rows = $this->database->fetchAllAssociative(
            "SELECT colour_name, max(colour) AS colour FROM item WHERE colour IS NOT NULL AND colour_name <> '' AND removed_at IS NULL
             GROUP BY colour_name ORDER BY colour_name LIMIT 400",
        );
        $colours = $spelt = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $name = $spelt[mb_strtolower($row->text('colour_name'))] ??= $row->text('colour_name');
            $colours[$name] = max($colours[$name] ?? '', $row->text('colour'));
        }

        return $colours;
    }

    /** @return array{float, float} the sheet that printers of this room usually take, in millimetres */
    public function page(): array
    {
        return $this->isMetric() ? Pdf::A4 : Pdf::LETTER;
    }

    public function timeZone(): \DateTimeZone
    {
        return new \DateTimeZone($this->room()->timeZone);
    }

    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->timeZone());
    }

    /** @return list<TrayCard> the open kits in order of their trays */
    public function trays(): array
    {
        return $this->trays ??= Row::each($this->database->fetchAllAssociative(
            "SELECT k.id, k.name, k.stage, k.due_on, k.out_since, CAST(substr(p.address, 6) AS INTEGER) AS number,
                    (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS out
             FROM kit_holder h JOIN kit k ON k.id = h.kit_id JOIN place p ON p.id = h.place_id AND p.kind = 'tray' ORDER BY number",
        ), $this->tray(...));
    }

    public function thingsOut(): int
    {
        // What waits to be given away, recycled or sold is out with nothing: only baskets, and boxes of a move, have a number.
        $inBaskets = Row::number($this->database->fetchOne(
            "SELECT count(*) FROM place p JOIN balance b ON b.place_id = p.id WHERE p.kind = 'basket' AND p.address GLOB '*[0-9]'",
        ));

        return $inBaskets + array_sum(array_map(static fn (TrayCard $tray): int => $tray->out, $this->trays()));
    }

    public function notFiled(): int
    {
        return Row::number($this->database->fetchOne("SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature = 'unfiled'"));
    }

    /** Returns what the page before this one did, null where it did nothing, or another person did. */
    public function done(): ?DoneCard
    {
        $id = $this->requests->getMainRequest()?->query->all()['done'] ?? null;
        if (!\is_string($id) || 36 !== \strlen($id)) {
            return null;
        }
        $columns = $this->database->fetchAssociative(
            'SELECT w.id, w.account_id, w.said, EXISTS (SELECT 1 FROM part_done q WHERE q.request_id = w.id AND q.parts > 1) AS is_long,
                    w.is_undoable AND (w.undone_by IS NULL OR '.HalfUndone::IS.')
                    AND EXISTS (SELECT 1 FROM step_change c WHERE c.request_id = w.id) AS is_undoable
             FROM write_request w WHERE w.id = ?',
            [$id],
        );
        $row = new Row(false === $columns ? ['account_id' => null, 'said' => ''] : $columns);

        return '' === $row->text('said') || $row->intOrNull('account_id') !== $this->me()
            ? null
            : new DoneCard($row->text('id'), $row->text('said'), $row->flag('is_undoable'), $row->flag('is_long'));
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
