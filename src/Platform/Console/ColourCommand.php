<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:colour', 'Compares colours by CIEDE2000 and sorts them in rainbow order.')]
final class ColourCommand extends DocumentCommand
{
    private const FARTHEST = 1000.0;

    public function answer(Document $document): array
    {
        $answer = [];
        if ($document->has('pairs')) {
            $answer['delta_e'] = array_map($this->difference(...), $document->get('pairs')->items());
        }
        if ($document->has('sort')) {
            $colours = array_map($this->hex(...), $document->get('sort')->items());
            usort($colours, RainbowOrder::compare(...));
            $answer['sorted'] = array_map(static fn (Srgb $colour): string => $colour->hex(), $colours);
            $answer['families'] = array_map(static fn (Srgb $colour): string => Family::of($colour)->value, $colours);
        }

        return [] === $answer ? ['delta_e' => [], 'sorted' => [], 'families' => []] : $answer;
    }

    private function difference(Document $pair): float
    {
        $colours = $pair->items();
        if (2 !== \count($colours)) {
            $pair->refuse('A pair has two colours.');
        }

        return round(Difference::between($this->lab($colours[0]), $this->lab($colours[1])), 6);
    }

    private function lab(Document $colour): Lab
    {
        $colour->object();
        if ($colour->has('hex')) {
            return Lab::of($this->hex($colour->get('hex')));
        }
        $lab = $colour->get('lab');
        $numbers = $lab->items();
        if (3 !== \count($numbers)) {
            $lab->refuse('A lab colour has three numbers.');
        }
        [$l, $a, $b] = array_map(static fn (Document $number): float => $number->number(), $numbers);
        if ($l < 0 || $l > 100 || abs($a) > self::FARTHEST || abs($b) > self::FARTHEST) {
            $lab->refuse('L* goes from 0 to 100, a* and b* from -1000 to 1000.');
        }

        return new Lab($l, $a, $b);
    }

    private function hex(Document $hex): Srgb
    {
        try {
            return Srgb::ofHex($hex->string());
        } catch (InvalidColour $invalid) {
            $hex->refuse($invalid->getMessage());
        }
    }
}
