<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Platform\Web\Measures;
use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\Sides;
use Lottel\Core\Design\StartingLayout;
use Lottel\Core\Measure\Length;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** Drawings of designs. */
final class DesignExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(
        private readonly CardDrawing $card,
        private readonly PageDrawing $page,
        private readonly SideDrawing $side,
        private readonly BoardReading $board,
        private readonly Kits $kits,
        private readonly Measures $measures,
    ) {
    }

    public function onPages(): array
    {
        return [
            new PagePart('kit', 'kits/design/_of_kit.html.twig', 10),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('card_drawing', $this->card->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('page_drawing', $this->page->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('side_drawing', $this->side->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('side_times', $this->side->tooThick(...)),
            new TwigFunction('small_design', $this->small(...), ['is_safe' => ['html']]),
            new TwigFunction('card_sizes', $this->sizes(...)),
            new TwigFunction('folds', self::folds(...)),
            new TwigFunction('sketch_of', fn (int $kit): ?string => $this->kits->one($kit)->sketch),
            new TwigFunction('starting_layouts', self::layouts(...)),
            new TwigFunction('layout_shapes', self::shapes(...), ['is_safe' => ['html']]),
            new TwigFunction('board_of', fn (int $kit): ?Board => $this->board->of($this->kits->one($kit))),
        ];
    }

    public function getFilters(): array
    {
        return [new TwigFilter('thickness', $this->thickness(...))];
    }

    /** A thickness in words: millimetres to the tenth, or inches to the nearest 1/16. */
    private function thickness(Length $thick): string
    {
        return match (true) {
            $this->measures->isMetric() => \sprintf('about %.1f mm', $thick->millimetres()),
            $thick->ticks < Length::TICKS_PER_INCH / 16 => 'less than 1/16 in',
            default => 'about '.$this->measures->lengths()->number($thick).' in',
        };
    }

    /** @param array<int, PaperOnBoard> $papers by item */
    private function small(Design $design, array $papers, float $high = 74, ?int $layers = null): string
    {
        return $design->form->hasLayers()
            ? $this->card->small($design, $papers, $high, $layers)
            : PageDrawing::shapes($design->blocks, $design->ground(), $design->form->pages(), $high);
    }

    /** @return array<string, string> the usual ones of the room, the most usual first */
    private function sizes(): array
    {
        $names = array_map(static fn (CardSize $size): string => $size->value, CardSize::usualIn($this->measures->measure()));

        return array_combine($names, $names);
    }

    /** @return array<string, string> */
    private static function folds(): array
    {
        return array_combine(
            array_map(static fn (Fold $fold): string => $fold->value, Fold::cases()),
            array_map(static fn (Fold $fold): string => $fold->inWords(), Fold::cases()),
        );
    }

    /** @return list<StartingLayout> */
    private static function layouts(Form $form): array
    {
        return array_values(array_filter(StartingLayout::cases(), static fn (StartingLayout $layout): bool => $layout->form()->pages() === $form->pages()));
    }

    private static function shapes(StartingLayout $layout, float $high): string
    {
        $page = new Sides(12 * Length::TICKS_PER_INCH, 12 * Length::TICKS_PER_INCH);
        $pages = $layout->form()->pages();

        return PageDrawing::shapes(
            $layout->blocks($page, intdiv(Length::TICKS_PER_INCH, 8)),
            new Rect(0, 0, $pages * $page->width, $page->height),
            $pages,
            $high,
        );
    }
}
