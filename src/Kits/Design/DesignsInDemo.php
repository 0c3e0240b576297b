<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Platform\Steps\Step;
use App\Platform\Story\AddsToDemoKit;
use App\Platform\Story\Said;
use App\Room\Catalogue\NamedInDemo;
use Lottel\Core\Cutting\PaperWish;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignWords;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\StartingLayout;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;

/** The designs of the demo room's kits, worked out as a person does on the board. */
final readonly class DesignsInDemo implements AddsToDemoKit
{
    public function __construct(private NamedInDemo $named, private Kits $kits, private BeginDesign $begin, private KeepPattern $keep)
    {
    }

    public function word(): string
    {
        return 'design';
    }

    public function add(Step $step, int $kit, Said $chapter): void
    {
        $kit = $this->kits->one($kit);
        $words = $chapter->text('design');
        $design = DesignWords::read($words, LengthUnit::Inch)->design ?? throw new \LogicException('The story speaks of a design that can be read: '.$words);
        $begun = ($this->begin)($kit, $this->papered($this->laidOut($design, $chapter), $chapter));
        if ($chapter->has('pattern')) {
            ($this->keep)($step, $kit, $begun->revision, $chapter->text('pattern'));
        }
    }

    private function laidOut(Design $design, Said $chapter): Design
    {
        if (!$chapter->has('layout')) {
            return $design;
        }
        $blocks = StartingLayout::from($chapter->text('layout'))->blocks($design->finished, intdiv(Length::TICKS_PER_INCH, 8));

        return $design->with(['blocks' => $blocks, 'next' => \count($blocks) + 1]);
    }

    /** The base, the layers from the bottom up, or the mats, each with its paper; what is not named has none. */
    private function papered(Design $design, Said $chapter): Design
    {
        $papers = array_map($this->paper(...), $chapter->named('papers'));
        $design = isset($papers['mats']) ? $design->matted($papers['mats']) : self::withoutMats($design);
        $named = static fn (Layer|Block $part): Layer|Block => $part->with(['paper' => $papers[$part->name] ?? null]);
        foreach ([...$design->layers, ...$design->blocks] as $part) {
            $design = $design->putting($named($part));
        }

        return $design->with(['paper' => $papers['base'] ?? null]);
    }

    private static function withoutMats(Design $design): Design
    {
        return $design->with(['blocks' => array_map(static fn (Block $block): Block => $block->with(['mats' => []]), $design->blocks)]);
    }

    private function paper(string $name): PaperChoice
    {
        [$name, $wish] = explode(' | ', $name) + [1 => PaperWish::This->value];

        return new PaperChoice((int) $this->named->thing($name)->id, PaperWish::from($wish));
    }
}
