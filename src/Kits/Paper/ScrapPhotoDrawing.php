<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Web\Svg;
use Lottel\Core\Picture\ScrapOnSheet;

/** What was seen in a photo: the scrap where it lies on the sheet. */
final class ScrapPhotoDrawing
{
    private const WIDEST = 260.0;

    public function drawn(ScrapOnSheet $found): string
    {
        [$width, $height] = [$found->sheet->width->ticks, $found->sheet->height->ticks];
        $scale = self::WIDEST / max($width, $height);
        $points = array_map(static fn (array $corner): string => \sprintf('%.1f,%.1f', $corner[0] * $scale, $corner[1] * $scale), $found->corners);

        return \sprintf(
            '<svg class="seen-scrap" width="%1$.0f" height="%2$.0f" viewBox="-2 -2 %1$.1f %2$.1f" role="img"'
                .' aria-label="The scrap on the sheet, as it was seen">'.
                '<rect class="paper-edge" width="%3$.1f" height="%4$.1f"/><polygon class="seen" fill="%5$s" points="%6$s"/></svg>',
            $width * $scale + 4,
            $height * $scale + 4,
            $width * $scale,
            $height * $scale,
            Svg::escape($found->colour),
            implode(' ', $points),
        );
    }
}
