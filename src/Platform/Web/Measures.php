<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use Lottel\Core\Measure\VolumeFormat;
use Lottel\Core\Measure\WeightFormat;

/** How the room measures: what it reads, prints, and takes as usual. */
final readonly class Measures
{
    public function __construct(private RoomAtHand $room)
    {
    }

    public function measure(): LengthUnit
    {
        return $this->room->card()->measure;
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

    /** @return array{float, float} the sheet that printers of this room usually take, in millimetres */
    public function page(): array
    {
        return $this->isMetric() ? Pdf::A4 : Pdf::LETTER;
    }
}
