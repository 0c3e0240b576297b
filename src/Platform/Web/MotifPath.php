<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Picture\Motif;

/** How each motif is drawn, in a square of 60 by 60. */
final class MotifPath
{
    private const PATHS = [
        'lighthouse' => 'M25 58l3-34h5l3 34zM24 18h13v6h-13zM26 12l4.5-6 4.5 6v6h-9zM40 14l16-6M40 20l16 4',
        'gull' => 'M2 30q14-16 28 4q14-20 28-4q-16-6-28 12q-12-18-28-12z',
        'wave' => 'M2 26q7-12 14 0t14 0t14 0t14 0M2 38q7-12 14 0t14 0t14 0t14 0M2 50q7-12 14 0t14 0t14 0t14 0',
        'boat' => 'M6 42h48l-9 13h-30zM29 38v-33l20 30h-20M25 36v-22l-14 22z',
        'fish' => 'M4 30q18-20 36 0l14-11v22l-14-11q-18 20-36 0zM14 27h1',
        'shell' => 'M30 55l-25-24q8-26 25-26t25 26zM30 54v-48M30 54l-14-44M30 54l14-44',
        'anchor' => 'M30 15v40M20 24h20M8 38q4 17 22 17t22-17M30 15a5 5 0 1 1 .1 0z',
        'rope' => 'M6 20q12-12 24 0t24 0M6 32q12-12 24 0t24 0M6 44q12-12 24 0t24 0M6 20v24M54 20v24',
        'leaf' => 'M30 57c-22-14-22-38 0-53c22 15 22 39 0 53zM30 57v-42M30 42l-9-8M30 34l9-8',
        'flower' => 'M30 24a6 6 0 1 1-.1 0zM30 23a9 9 0 1 1 .1-18a9 9 0 1 1-.1 18'
            .'M36 28a9 9 0 1 1 18 2a9 9 0 1 1-18-2M24 28a9 9 0 1 0-18 2a9 9 0 1 0 18-2M30 37v20',
        'tree' => 'M30 4l20 40h-40zM26 44h8v12h-8z',
        'star' => 'M30 4l7 18h19l-15 12 6 20-17-12-17 12 6-20-15-12h19z',
        'heart' => 'M30 55C-8 30 12 3 30 20C48 3 68 30 30 55z',
        'rain' => 'M15 33a10 10 0 0 1 4-18a14 14 0 0 1 25 2a9 9 0 0 1 2 16zM18 41l-4 11M30 41l-4 11M42 41l-4 11',
        'moon' => 'M40 6a26 26 0 1 0 14 36a22 22 0 0 1-14-36z',
        'sun' => 'M30 18a12 12 0 1 1-.1 0zM30 4v8M30 48v8M4 30h8M48 30h8M11 11l6 6M43 43l6 6M49 11l-6 6M17 43l-6 6',
        'house' => 'M8 30l22-22 22 22v26h-44zM24 56v-15h12v15',
        'cake' => 'M8 36h44v20h-44zM16 36v-13h28v13M30 23v-11M30 9v1',
        'gift' => 'M8 28h44v28h-44zM30 28v28M8 20h44v8h-44zM30 20q-16-18-16-6q2 6 16 6q14-18 16-6q-2 6-16 6',
        'bunting' => 'M2 12q28 12 56 0M8 15l4 18 9-14M24 18l6 20 6-20M39 19l9 14 4-18',
        'word' => 'M6 16h48M6 28h40M6 40h46M6 52h26',
        'grid' => 'M8 8h18v18h-18zM34 8h18v18h-18zM8 34h18v18h-18zM34 34h18v18h-18z',
        'circle' => 'M30 5a25 25 0 1 1-.1 0zM30 18a12 12 0 1 1-.1 0z',
    ];

    public static function of(Motif $motif): string
    {
        return self::PATHS[$motif->value];
    }

    /** A motif drawn so large with its corner there; in the stroke and fill of a class. */
    public static function drawn(Motif $motif, string $class, float $x, float $y, float $size): string
    {
        return \sprintf('<path class="%s" transform="translate(%.1f %.1f) scale(%.3f)" d="%s"/>', $class, $x, $y, $size / 60, self::of($motif));
    }
}
