<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The drawing of a stock. */
final class RestockExtension extends AbstractExtension
{
    public function __construct(private readonly StockDrawing $drawing)
    {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('stock_drawing', $this->drawing->draw(...), ['is_safe' => ['html']])];
    }
}
