<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Web\Page;
use App\Platform\Web\TableFile;
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

        return $this->render('kits/kits/missing.html.twig', [
            'shortfalls' => $all,
            'cents' => [] === $known ? null : array_sum($known),
            'without' => \count($all) - \count($known),
        ]);
    }

    #[Route('/missing.{type<csv|xlsx>}', name: 'missing_file', methods: ['GET'])]
    public function csv(string $type, TableFile $file): Response
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

        return $file->plain('missing', self::COLUMNS, $rows, $type);
    }
}
