<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\StepRefused;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** A date that wants something made for it, once or every year. */
#[ORM\Entity]
#[ORM\Table(name: 'occasion')]
#[ORM\Index(name: 'occasion_contact', columns: ['contact_id'])]
class Occasion
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Contact $contact = null;

    #[ORM\Column(length: 12)]
    public OccasionKind $kind;

    #[ORM\Column(length: 120)]
    public string $name;

    #[ORM\Column]
    private int $month;

    #[ORM\Column]
    private int $day;

    #[ORM\Column(nullable: true)]
    private ?int $year;

    #[ORM\Column(options: ['default' => true])]
    private bool $isYearly;

    /** What it wants, as the shelf calls it: birthday, thanks, ferry kiosk. */
    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $wants;

    /** How many cards, pages or tags; 0 where nothing is made for it. */
    #[ORM\Column(options: ['default' => 1])]
    public int $pieces;

    /** How many days before its date they are to be done. */
    #[ORM\Column(options: ['default' => 0])]
    public int $daysAhead;

    /** How many days it lasts, such as a season. */
    #[ORM\Column(options: ['default' => 1])]
    public int $lasts;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(OccasionDescription $said, ?Contact $contact)
    {
        $this->describe($said, $contact);
    }

    public function describe(OccasionDescription $said, ?Contact $contact): void
    {
        [$this->kind, $this->name, $this->contact, $this->wants] = [$said->kind, $said->name, $contact, $said->wants];
        [$this->month, $this->day, $this->year, $this->isYearly] = [$said->on->month, $said->on->day, $said->on->year, $said->on->isYearly];
        [$this->pieces, $this->daysAhead, $this->lasts] = [$said->pieces, $said->daysAhead, $said->lasts];
    }

    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt = $at;
    }

    /** What it wants as the shelf calls it, said or usual; empty where nobody knows. */
    public function wanted(): string
    {
        return '' === $this->wants ? $this->kind->shelf() : $this->wants;
    }

    /** @throws StepRefused if it is not on that day */
    public function checkIsOn(Day $day): void
    {
        if ([] === $this->on()->between($day, $day)) {
            throw YearRefused::occasionIsNotThen($this->name);
        }
    }

    public function on(): Recurrence
    {
        return Recurrence::kept($this->month, $this->day, $this->year, $this->isYearly);
    }
}
