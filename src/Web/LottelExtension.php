<?php

declare(strict_types=1);

namespace App\Web;

use App\Stores\Place;
use App\Stores\RoomDrawing;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\Naming;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Words\Counted;
use Symfony\Component\Uid\Uuid;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

final class LottelExtension extends AbstractExtension
{
    /** @var array<string, string>|null */
    private ?array $manifest = null;

    public function __construct(private readonly Frame $frame, private readonly RoomDrawing $drawing, private readonly string $projectDir)
    {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('qty', fn (int|string $quantity, Tracking|string $tracking): string => $this->frame->quantities()->print((int) $quantity, self::tracking($tracking))),
            new TwigFilter('qty_field', fn (int|string $quantity, Tracking|string $tracking): string => $this->frame->quantities()->field((int) $quantity, self::tracking($tracking))),
            new TwigFilter('measured', fn (int|string $ticks): string => $this->frame->lengths()->full(Length::ofTicks((int) $ticks))),
            new TwigFilter('sides', fn (array $ticks): string => $this->frame->lengths()->sides(...array_map(static fn (mixed $side): Length => Length::ofTicks(is_numeric($side) ? (int) $side : 0), array_filter(array_values($ticks))))),
            new TwigFilter('length_field', fn (int|string $ticks): string => $this->frame->lengths()->exact(Length::ofTicks((int) $ticks))),
            new TwigFilter('weight', fn (int|float|string $grams): string => $this->frame->weights()->print((float) $grams)),
            new TwigFilter('weight_field', fn (int|string|null $grams): string => null === $grams ? '' : $this->frame->weights()->field((int) $grams)),
            new TwigFilter('mm_field', $this->mmField(...)),
            new TwigFilter('counted', static fn (int|string $number, string $one, string $many = ''): string => Counted::of((int) $number, $one, $many)),
            new TwigFilter('place_label', static fn (string $address): string => Place::shownAddress($address).(Place::isGone($address) ? ' (gone)' : '')),
            new TwigFilter('colour_words', static fn (string $hex): string => Naming::inWords(Srgb::ofHex($hex))),
            new TwigFilter('room_side', $this->roomSide(...)),
            new TwigFilter('local', $this->local(...)),
            new TwigFilter('named', static fn (?string $json): array => (array) json_decode($json ?? '{}', true)),
            new TwigFilter('words', static fn (string $json): array => array_values((array) json_decode($json, true))),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('fresh_id', static fn (): string => (string) Uuid::v7()),
            new TwigFunction('colour_chips', fn (): array => ColourWords::CHIPS + $this->frame->ownColours()),
            new TwigFunction('built', $this->built(...)),
            new TwigFunction('room_drawing', $this->drawing->room(...), ['is_safe' => ['html']]),
            new TwigFunction('unit_drawing', $this->drawing->unit(...), ['is_safe' => ['html']]),
        ];
    }

    /** Whole millimetres as the room measures, so that the same whole millimetres are read again. */
    private function mmField(int|string|null $millimetres): string
    {
        if (!is_numeric($millimetres) || LengthUnit::Millimetre === $this->frame->measure()) {
            return (string) $millimetres;
        }

        return rtrim(rtrim(\sprintf('%.2F', (int) $millimetres / 25.4), '0'), '.').' in';
    }

    private function roomSide(int $millimetres): string
    {
        if (LengthUnit::Millimetre === $this->frame->measure()) {
            return number_format($millimetres / 1000, 2).' m';
        }
        $inches = (int) round($millimetres / 25.4);

        return intdiv($inches, 12).' ft '.($inches % 12).' in';
    }

    private function local(\DateTimeImmutable|string|null $utc, string $format = 'j M Y, G:i'): string
    {
        $time = \is_string($utc) ? new \DateTimeImmutable($utc, new \DateTimeZone('UTC')) : $utc;

        return null === $time ? '' : $time->setTimezone($this->frame->timeZone())->format($format);
    }

    private static function tracking(Tracking|string $tracking): Tracking
    {
        return \is_string($tracking) ? Tracking::from($tracking) : $tracking;
    }

    private function built(string $file): string
    {
        if (null === $this->manifest) {
            $json = @file_get_contents($this->projectDir.'/public/build/manifest.json');
            /** @var array<string, string> $manifest */
            $manifest = false === $json ? [] : json_decode($json, true);
            $this->manifest = $manifest;
        }

        return '/build/'.$file.'?v='.($this->manifest[$file] ?? '0');
    }
}
