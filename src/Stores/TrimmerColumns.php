<?php

declare(strict_types=1);

namespace App\Stores;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Homes\OffcutSchool;
use Lottel\Core\Measure\Length;

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

    public function trimmer(): Trimmer
    {
        return new Trimmer($this->longestCut, $this->smallestStrip);
    }

    public function keep(): Keep
    {
        return new Keep($this->keepShort, $this->keepLong);
    }
}
