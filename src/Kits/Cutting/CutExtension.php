<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kits;
use App\Platform\Web\Measures;
use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Lottel\Core\Measure\Length;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** Drawings and words of the cutting table, also for the pages of its kit. */
final class CutExtension extends AbstractExtension implements ShowsOnPages, ResetInterface
{
    /** @var array<int, CuttingTable> of the kits that this page speaks of, on each line of a list anew */
    private array $tables = [];

    public function __construct(
        private readonly BladeDrawing $blade,
        private readonly TableReading $table,
        private readonly Kits $kits,
        private readonly Measures $measures,
    ) {
    }

    public function onPages(): array
    {
        return [
            new PagePart('kit', 'kits/cutting/_of_kit.html.twig', 20),
            new PagePart('line of a kit', 'kits/cutting/_line_of_kit.html.twig'),
        ];
    }

    public function reset(): void
    {
        $this->tables = [];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('blade_drawing', $this->blade->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('sheet_drawing', $this->blade->small(...), ['is_safe' => ['html']]),
            new TwigFunction('cutting_of', fn (int $kit): CuttingTable => $this->tables[$kit] ??= $this->table->of($this->kits->one($kit))),
        ];
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('on_rule', fn (int $ticks): string => $this->measures->lengths()->number(Length::ofTicks($ticks))),
            new TwigFilter('minutes', self::minutes(...)),
        ];
    }

    private static function minutes(int $seconds): string
    {
        return $seconds < 60 ? 'less than a minute' : 'about '.max(1, (int) round($seconds / 60)).' min';
    }
}
