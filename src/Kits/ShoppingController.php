<?php

declare(strict_types=1);

namespace App\Kits;

use App\Web\Csv;
use App\Web\Page;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is missing for the kits that are open. */
final class ShoppingController extends Page
{
    private const COLUMNS = ['what', 'maker', 'missing', 'wanted', 'there', 'for', 'due', 'last price', 'shop'];

    public function __construct(private readonly ShortfallReading $shortfalls)
    {
    }

    #[Route('/missing', name: 'missing', methods: ['GET'])]
    public function page(): Response
    {
        $all = $this->shortfalls->all();
        $known = array_filter(array_map(static fn (Shortfall $one): ?int => $one->cents, $all), is_int(...));

        return $this->render('kits/missing.html.twig', [
            'shortfalls' => $all,
            'cents' => [] === $known ? null : array_sum($known),
            'without' => \count($all) - \count($known),
        ]);
    }

    #[Route('/missing.csv', name: 'missing_csv', methods: ['GET'])]
    public function csv(): Response
    {
        $rows = array_map(fn (Shortfall $one): array => [
            $one->thing->name,
            $one->thing->maker,
            $this->quantityInWords($one->missing(), $one->thing->tracking),
            $this->quantityInWords($one->wanted, $one->thing->tracking),
            0 === $one->there ? '0' : $this->quantityInWords($one->there, $one->thing->tracking),
            implode(', ', $one->kits),
            null === $one->soonest ? '' : substr($one->soonest, 0, 10),
            null === $one->cents ? '' : number_format($one->cents / 100, 2, '.', ''),
            $one->shop,
        ], $this->shortfalls->all());

        return $this->download(Csv::file([self::COLUMNS, ...$rows]), 'text/csv; charset=utf-8', 'missing.csv');
    }
}
