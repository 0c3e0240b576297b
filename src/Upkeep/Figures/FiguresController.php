<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use App\Platform\Web\Page;
use App\Platform\Web\TableFile;
use Lottel\Core\Upkeep\Figures\Proportion;
use Lottel\Core\Upkeep\Figures\Trend;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The figures of upkeep on one page, each with the rows behind it. */
final class FiguresController extends Page
{
    private const COLUMNS = [
        'month', 'came back', 'within a day', 'lines counted', 'as the log said', 'scraps kept', 'scraps gone', 'cut mm²', 'pieces mm²', 'waste mm²',
        'seconds saved a month',
    ];

    public function __construct(private readonly FiguresReading $reading)
    {
    }

    #[Route('/upkeep/figures', name: 'figures', methods: ['GET'])]
    public function index(): Response
    {
        $now = $this->reading->now();

        return $this->render('upkeep/figures/figures.html.twig', [
            'months' => $now->months,
            'kinds' => $now->kinds,
            'waste' => $now->waste(),
            'most_scraps' => $now->mostScraps(),
            'back_trend' => Trend::of(array_map(static fn (MonthFigures $month): Proportion => $month->back, $now->months)),
            'right_trend' => Trend::of(array_map(static fn (MonthFigures $month): Proportion => $month->right, $now->months)),
        ]);
    }

    #[Route('/upkeep/figures.{type<csv|xlsx>}', name: 'figures_file', methods: ['GET'])]
    public function take(string $type, TableFile $file): Response
    {
        $rows = array_map(static fn (MonthFigures $month): array => [
            $month->month,
            $month->back->whole,
            $month->back->part,
            $month->right->whole,
            $month->right->part,
            $month->scrapsIn,
            $month->scrapsOut,
            $month->used->whole,
            $month->used->part,
            $month->waste->part,
            $month->saved,
        ], $this->reading->now()->months);

        return $file->plain('figures', self::COLUMNS, $rows, $type);
    }
}
