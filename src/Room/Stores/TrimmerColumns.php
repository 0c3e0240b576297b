<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Homes\OffcutSchool;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;

/** How the household cuts: its trimmer, which offcuts it keeps, and where they go. Lengths in ticks. */
#[ORM\Embeddable]
final class TrimmerColumns
{
    /** Twelve inches (common practice, no source). */
    #[ORM\Column(nullable: true, options: ['default' => 12 * Length::TICKS_PER_INCH])]
    public ?int $longestCut = 12 * Length::TICKS_PER_INCH;

    /** An eighth of an inch: what is narrower does not cut cleanly (common practice, no source). */
    #[ORM\Column(options: ['default' => Length::TICKS_PER_INCH / 8])]
    public int $smallestStrip = 1016;

    #[ORM\Column(options: ['default' => 3])]
    public int $sheetsTogether = 3;

    #[ORM\Column(options: ['default' => Length::TICKS_PER_INCH])]
    public int $keepShort = Length::TICKS_PER_INCH;

    #[ORM\Column(options: ['default' => 2 * Length::TICKS_PER_INCH])]
    public int $keepLong = 2 * Length::TICKS_PER_INCH;

    #[ORM\Column(length: 10, options: ['default' => 'colour'])]
    public OffcutSchool $offcuts = OffcutSchool::Colour;

    /** What a copy shop takes for one cut of a whole stack; null where nobody has said. */
    #[ORM\Column(nullable: true)]
    public ?int $centsPerCut = null;

    /** As is usual where a room measures so. */
    public static function usualIn(LengthUnit $unit): self
    {
        $trimmer = new self();
        foreach (self::usual($unit) as $column => $ticks) {
            $trimmer->{$column} = $ticks;
        }

        return $trimmer;
    }

    /** What nobody has set otherwise is as usual where the room measures so from now on. */
    public function measureIn(LengthUnit $before, LengthUnit $after): void
    {
        $usual = self::usual($after);
        foreach (self::usual($before) as $column => $ticks) {
            $this->{$column} = $this->{$column} === $ticks ? $usual[$column] : $this->{$column};
        }
    }

    /** @return array{longestCut: int, smallestStrip: int, keepShort: int, keepLong: int} ticks */
    private static function usual(LengthUnit $unit): array
    {
        $usual = Usual::in($unit);

        return [
            'longestCut' => $usual->longestCut()->ticks,
            'smallestStrip' => $usual->narrowestStrip()->ticks,
            'keepShort' => $usual->keptShort()->ticks,
            'keepLong' => $usual->keptLong()->ticks,
        ];
    }

    /** What it cuts: at most so long, at least so narrow, so many sheets together; and what a shop takes for a cut. */
    public function cutting(Trimmer $trimmer, int $sheetsTogether, ?int $centsPerCut): void
    {
        [$this->longestCut, $this->smallestStrip] = [$trimmer->longestCut, $trimmer->smallestStrip];
        [$this->sheetsTogether, $this->centsPerCut] = [$sheetsTogether, $centsPerCut];
    }

    public function keeping(Keep $keep, OffcutSchool $offcuts): void
    {
        [$this->keepShort, $this->keepLong, $this->offcuts] = [$keep->short, $keep->long, $offcuts];
    }

    public function trimmer(): Trimmer
    {
        return new Trimmer($this->longestCut, $this->smallestStrip);
    }

    public function keep(): Keep
    {
        return new Keep($this->keepShort, $this->keepLong);
    }
}
