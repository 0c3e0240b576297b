<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\Face;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelMark;

/** Paints labels as PNG, in dots to the millimetre, and says so in the file. */
final readonly class LabelPng
{
    public const DOTS_PER_MM = 12;

    public function __construct(private QrCode $codes, private string $projectDir)
    {
    }

    public function paint(LabelDrawing $drawing): string
    {
        $scale = self::DOTS_PER_MM / 10;
        $image = imagecreatetruecolor(max(1, (int) round($drawing->size->width * $scale)), max(1, (int) round($drawing->size->height * $scale)));
        \assert(false !== $image);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 255, 255, 255));
        imageresolution($image, (int) round(25.4 * self::DOTS_PER_MM), (int) round(25.4 * self::DOTS_PER_MM));
        foreach ($drawing->marks as $mark) {
            $this->mark($image, $mark, $scale);
        }
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    private function mark(\GdImage $image, LabelMark $mark, float $scale): void
    {
        if ('text' === $mark->kind) {
            $this->text($image, $mark, $scale);
        } elseif ('code' === $mark->kind) {
            $this->code($image, $mark, $scale);
        } else {
            $colour = (int) hexdec(substr($mark->fill, 1));
            $width = 'fold' === $mark->kind ? 1 : $mark->width * $scale;
            imagefilledrectangle(
                $image,
                (int) round($mark->x * $scale),
                (int) round($mark->y * $scale),
                (int) round($mark->x * $scale + $width) - 1,
                (int) round(($mark->y + $mark->height) * $scale) - 1,
                $colour,
            );
        }
    }

    private function text(\GdImage $image, LabelMark $mark, float $scale): void
    {
        if ('' === trim($mark->text)) {
            return;
        }
        $file = match ($mark->face) {
            Face::Plate => 'DejaVuSansMono-Bold.ttf',
            Face::Bold => 'DejaVuSans-Bold.ttf',
            Face::Plain => 'DejaVuSans.ttf',
        };
        $left = $mark->isCentred ? $mark->x - $mark->width / 2 : $mark->x;
        imagettftext(
            $image,
            $mark->height * $scale * 0.75,
            0,
            (int) round($left * $scale),
            (int) round($mark->y * $scale),
            (int) imagecolorallocate($image, 0, 0, 0),
            $this->projectDir.'/assets/fonts/'.$file,
            $mark->text,
        );
    }

    /** Every module gets the same whole number of dots, so that the code stays sharp. */
    private function code(\GdImage $image, LabelMark $mark, float $scale): void
    {
        $side = $this->codes->side($mark->text);
        $dots = max(1, (int) floor($mark->width * $scale / $side));
        $offset = ($mark->width * $scale - $dots * $side) / 2;
        [$left, $top] = [(int) round($mark->x * $scale + $offset), (int) round($mark->y * $scale + $offset)];
        $black = (int) imagecolorallocate($image, 0, 0, 0);
        foreach ($this->codes->runs($mark->text) as [$row, $column, $length]) {
            imagefilledrectangle(
                $image,
                $left + $column * $dots,
                $top + $row * $dots,
                $left + ($column + $length) * $dots - 1,
                $top + ($row + 1) * $dots - 1,
                $black,
            );
        }
    }
}
