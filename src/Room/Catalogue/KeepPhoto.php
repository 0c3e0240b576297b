<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Colour\Palette;
use Lottel\Core\Picture\Raster;
use Lottel\Core\Picture\Spot;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/**
 * Keeps photos of things and of open places: turned upright, made smaller, and painted anew, so that nothing of the file but its picture is
 * left, not where it was taken either.
 */
final readonly class KeepPhoto
{
    public const MOST_BYTES = 15_000_000;
    private const MOST_PIXELS = 40_000_000;
    public const SIDE_OF_A_PLACE = 2000;
    private const SIDE = 1600;
    private const PALETTE_SIDE = 160;

    public function __construct(private string $dataDir)
    {
    }

    /**
     * Reads a picture, writes it anew beside the others, and looks whether all of it is there; only then it may take the place
     * of an old one. Done before anything is written into the room, since a large picture takes its time.
     *
     * @param int $side how long its longer side may be, in pixels
     *
     * @return string the name of the new photo
     *
     * @throws InvalidPhoto if the file is too large, no picture, or damaged, or there is no room for it on the disk
     */
    public function keep(UploadedFile $file, int $side = self::SIDE): string
    {
        return $this->write($this->smaller($this->upright($file, $this->read($file)), $side));
    }

    /**
     * Cuts what is seen at a spot of a photo out of it, and keeps that as a photo of its own.
     *
     * @return string the name of the new photo
     *
     * @throws InvalidPhoto if the photo is not there any more, or there is no room on the disk
     */
    public function cutOut(string $photo, Spot $spot): string
    {
        $picture = $this->load($photo);
        [$x, $width] = self::along($spot->x, $spot->width, imagesx($picture));
        [$y, $height] = self::along($spot->y, $spot->height, imagesy($picture));
        $cut = imagecrop($picture, ['x' => $x, 'y' => $y, 'width' => $width, 'height' => $height]);

        return $this->write(false === $cut ? $picture : $cut);
    }

    /**
     * Returns a photo as a small raster in which things are looked for.
     *
     * @throws InvalidPhoto if it is not there any more
     */
    public function raster(string $photo): Raster
    {
        $small = $this->smaller($this->load($photo), self::PALETTE_SIDE);

        return new Raster(imagesx($small), imagesy($small), iterator_to_array(self::pixels($small), false));
    }

    /**
     * Returns a picture that is not kept as a raster.
     *
     * @param int $side how long its longer side may be, in pixels
     *
     * @throws InvalidPhoto if the file is too large, no picture, or damaged
     */
    public function rasterOf(UploadedFile $file, int $side): Raster
    {
        $small = $this->smaller($this->upright($file, $this->read($file)), $side);

        return new Raster(imagesx($small), imagesy($small), iterator_to_array(self::pixels($small), false));
    }

    /** @return array{int, int}|null width and height in pixels, null where its file is not there any more */
    public function size(string $photo): ?array
    {
        $size = @getimagesize($this->path($photo));

        return false === $size ? null : [$size[0], $size[1]];
    }

    private function load(string $photo): \GdImage
    {
        $picture = @imagecreatefromjpeg($this->path($photo));

        return false === $picture ? throw InvalidPhoto::isGone() : $picture;
    }

    /** @return array{int, int} where a side begins, and how long it is, in pixels */
    private static function along(int $from, int $long, int $side): array
    {
        $at = intdiv($from * $side, Spot::WHOLE);

        return [$at, max(1, min($side - $at, intdiv($long * $side, Spot::WHOLE)))];
    }

    private function write(\GdImage $picture): string
    {
        $name = bin2hex(random_bytes(16));
        if (!$this->hasFolder()) {
            throw InvalidPhoto::cannotBeKept();
        }
        $aside = $this->folder().'/'.$name.'.new';
        $isWritten = @imagejpeg($picture, $aside, 84) && $this->isWhole($aside, $picture) && @rename($aside, $this->path($name));
        if (!$isWritten) {
            @unlink($aside);
            throw InvalidPhoto::cannotBeKept();
        }

        return $name;
    }

    /**
     * Takes over a photo that was kept elsewhere, under its name.
     *
     * @return bool whether it is new here
     *
     * @throws InvalidPhoto if it is no whole picture, or cannot be written
     */
    public function takeOver(string $name, string $jpeg): bool
    {
        $size = @getimagesizefromstring($jpeg);
        if (false === $size || \IMAGETYPE_JPEG !== $size[2] || $size[0] * $size[1] > self::MOST_PIXELS || "\xFF\xD9" !== substr($jpeg, -2)) {
            throw InvalidPhoto::isDamaged();
        }
        $isNew = !is_file($this->path($name));
        $aside = $this->folder().'/'.$name.'.new';
        if (!$this->hasFolder() || \strlen($jpeg) !== @file_put_contents($aside, $jpeg) || !@rename($aside, $this->path($name))) {
            @unlink($aside);
            throw InvalidPhoto::cannotBeKept();
        }

        return $isNew;
    }

    private function hasFolder(): bool
    {
        return is_dir($this->folder()) || @mkdir($this->folder(), 0o700, true) || is_dir($this->folder());
    }

    /** A file that was cut off still begins as a picture; only its end tells. */
    private function isWhole(string $path, \GdImage $picture): bool
    {
        $size = @getimagesize($path);
        $end = @file_get_contents($path, false, null, max(0, (int) @filesize($path) - 2));

        return false !== $size && $size[0] === imagesx($picture) && $size[1] === imagesy($picture) && "\xFF\xD9" === $end;
    }

    public function throwAway(string $name): void
    {
        @unlink($this->path($name));
    }

    /** Of a new photo and the one whose place it was to take, throws away the one that the room does not speak of. */
    public function settle(?string $new, ?string $old, ?string $kept): void
    {
        $gone = null !== $new && $new === $kept ? $old : $new;
        if (null !== $gone) {
            $this->throwAway($gone);
        }
    }

    public function path(string $name): string
    {
        return $this->folder().'/'.preg_replace('/[^0-9a-f]/', '', $name).'.jpg';
    }

    /** @return list<array{hex: string, share: float}> the colours of a photo, those that cover most first */
    public function palette(string $photo): array
    {
        $picture = @imagecreatefromjpeg($this->path($photo));
        if (false === $picture) {
            return [];
        }
        $small = $this->smaller($picture, self::PALETTE_SIDE);

        return array_map(
            static fn (array $colour): array => ['hex' => $colour['colour']->hex(), 'share' => $colour['share']],
            Palette::of(self::pixels($small))->colours,
        );
    }

    /** @return iterable<int> */
    private static function pixels(\GdImage $picture): iterable
    {
        for ($y = 0, $height = imagesy($picture); $y < $height; ++$y) {
            for ($x = 0, $width = imagesx($picture); $x < $width; ++$x) {
                yield (int) imagecolorat($picture, $x, $y) & 0xFFFFFF;
            }
        }
    }

    private function read(UploadedFile $file): \GdImage
    {
        if (!$file->isValid()) {
            throw \in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true)
                ? InvalidPhoto::tooLarge(self::MOST_BYTES)
                : InvalidPhoto::didNotArrive();
        }
        if ($file->getSize() > self::MOST_BYTES) {
            throw InvalidPhoto::tooLarge(self::MOST_BYTES);
        }
        $size = @getimagesize($file->getPathname());
        if (false === $size || !\in_array($size[2], [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP], true)) {
            throw InvalidPhoto::isNoPicture();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw InvalidPhoto::tooManyPixels();
        }
        $picture = \IMAGETYPE_JPEG === $size[2]
            ? self::wholeJpeg($file->getPathname())
            : @imagecreatefromstring((string) @file_get_contents($file->getPathname()));

        return false === $picture ? throw InvalidPhoto::isDamaged() : $picture;
    }

    /**
     * Reads a JPEG of which nothing is missing: the reader itself paints grey what was cut off, and only mentions it.
     *
     * @throws InvalidPhoto if it was cut off
     */
    private static function wholeJpeg(string $path): \GdImage|false
    {
        $isCutOff = false;
        $before = ini_set('gd.jpeg_ignore_warning', '0');
        set_error_handler(static function (int $level, string $said) use (&$isCutOff): bool {
            $isCutOff = $isCutOff || str_contains(strtolower($said), 'premature end');

            return true;
        });
        try {
            $picture = imagecreatefromjpeg($path);
        } finally {
            restore_error_handler();
            ini_set('gd.jpeg_ignore_warning', (string) $before);
        }

        return $isCutOff ? throw InvalidPhoto::isCutOff() : $picture;
    }

    private function upright(UploadedFile $file, \GdImage $picture): \GdImage
    {
        $type = @exif_imagetype($file->getPathname());
        $facts = \IMAGETYPE_JPEG === $type ? @exif_read_data($file->getPathname()) : false;
        $orientation = false === $facts ? 1 : (\is_int($facts['Orientation'] ?? null) ? $facts['Orientation'] : 1);
        if (\in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($picture, 4 === $orientation ? \IMG_FLIP_VERTICAL : \IMG_FLIP_HORIZONTAL);
        }
        $turn = match ($orientation) {
            3 => 180,
            5, 8 => 90,
            6, 7 => 270,
            default => 0,
        };
        $turned = 0 === $turn ? $picture : imagerotate($picture, $turn, 0);

        return false === $turned ? $picture : $turned;
    }

    private function smaller(\GdImage $picture, int $side): \GdImage
    {
        [$width, $height] = [imagesx($picture), imagesy($picture)];
        $scale = min(1, $side / max($width, $height));
        $small = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        \assert(false !== $small);
        imagefill($small, 0, 0, 0xFFFFFF);
        imagecopyresampled($small, $picture, 0, 0, 0, 0, imagesx($small), imagesy($small), $width, $height);

        return $small;
    }

    private function folder(): string
    {
        return $this->dataDir.'/photos';
    }
}
