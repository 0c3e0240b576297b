<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Platform\Web\Input;
use Lottel\Core\Colour\InvalidPalette;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\PaletteReader;
use Lottel\Core\Colour\ReadPalette;

/** A palette as it comes in, from a file or written into a field. */
final class PaletteForm
{
    public const MOST_BYTES = 256_000;

    /** @throws InvalidPalette if there is none, or it is too long */
    public static function read(Input $input): ReadPalette
    {
        $file = $input->file('file');
        if (null !== $file && !$file->isValid() && \UPLOAD_ERR_NO_FILE !== $file->getError()) {
            throw InvalidPalette::isTooLarge(self::MOST_BYTES);
        }
        if (null === $file || !$file->isValid()) {
            return PaletteReader::read($input->text('palette', self::MOST_BYTES));
        }
        if ($file->getSize() > self::MOST_BYTES) {
            throw InvalidPalette::isTooLarge(self::MOST_BYTES);
        }
        $read = PaletteReader::read(self::text($file->getContent()));

        return '' === $read->name ? new ReadPalette(pathinfo($file->getClientOriginalName(), \PATHINFO_FILENAME), $read->colours, $read->unread) : $read;
    }

    /**
     * The colours as the rows of a list that {@see PaletteReader} reads.
     *
     * @param list<NamedColour> $colours
     *
     * @return list<list<string|int>>
     */
    public static function rows(array $colours): array
    {
        return [['name', 'colour', 'red', 'green', 'blue'], ...array_map(static fn (NamedColour $one): array => [
            $one->name, $one->colour->hex(), $one->colour->red, $one->colour->green, $one->colour->blue,
        ], $colours)];
    }

    private static function text(string $content): string
    {
        return mb_check_encoding($content, 'UTF-8') ? $content : mb_convert_encoding($content, 'UTF-8', 'Windows-1252');
    }
}
