<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\Naming;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Round\RoundTime;
use Lottel\Core\Words\Counted;
use Symfony\Component\Uid\Uuid;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** Words, colours, times and links that pages are made of. */
final class LottelExtension extends AbstractExtension
{
    /** @var array<string, string>|null */
    private ?array $manifest = null;

    public function __construct(private readonly KnownColours $ownColours, private readonly RoomClock $roomClock, private readonly string $projectDir)
    {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('ordinal', Counted::nth(...)),
            new TwigFilter('counted', static fn (int $number, string $one, string $many = ''): string => Counted::of($number, $one, $many)),
            new TwigFilter('all_of', static fn (int $number): string => 2 === $number ? 'Both' : "All {$number}"),
            new TwigFilter('capitalize_first', static fn (string $text): string => mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1)),
            new TwigFilter('lower_first', static fn (string $text): string => mb_strtolower(mb_substr($text, 0, 1)).mb_substr($text, 1)),
            new TwigFilter('cut', static fn (string $text, int $most): string => mb_strlen($text) > $most ? mb_substr($text, 0, $most).'…' : $text),
            new TwigFilter('place_label', self::placeLabel(...)),
            new TwigFilter('colour_words', static fn (string $hex): string => Naming::inWords(Srgb::ofHex($hex))),
            new TwigFilter('seconds', RoundTime::spelt(...)),
            new TwigFilter('local', $this->local(...)),
            new TwigFilter('options', self::options(...)),
            new TwigFilter('stage_route', self::stageRoute(...)),
            new TwigFilter('stage_words', self::stageWords(...)),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('thing_picture', ThingPicture::drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('fresh_id', static fn (): string => (string) Uuid::v7()),
            new TwigFunction('colour_chips', fn (): array => ColourWords::CHIPS + $this->ownColours->byName()),
            new TwigFunction('built', $this->built(...)),
        ];
    }

    /**
     * @param list<\BackedEnum> $cases
     * @param string|null $none what stands first for none of them
     *
     * @return array<int|string, string> words by value
     */
    private static function options(array $cases, ?string $none = null): array
    {
        $options = null === $none ? [] : ['' => $none];
        foreach ($cases as $case) {
            $label = method_exists($case, 'label') ? $case->label() : $case->value;
            $options[$case->value] = \is_scalar($label) ? (string) $label : '';
        }

        return $options;
    }

    private static function placeLabel(string $address): string
    {
        return RetiredAddress::onLabel($address).(RetiredAddress::isOne($address) ? ' (gone)' : '');
    }

    /** The page on which one goes on with a kit. */
    private static function stageRoute(Stage $stage): string
    {
        return match ($stage) {
            Stage::Pulling => 'pull_kit',
            Stage::Making => 'make_kit',
            Stage::Returning => 'return_kit',
            Stage::Planned, Stage::Closed => 'kit',
        };
    }

    private static function stageWords(Stage $stage): string
    {
        return match ($stage) {
            Stage::Pulling => 'Go on pulling',
            Stage::Making => 'To the bench',
            Stage::Returning => 'Go on returning',
            Stage::Planned, Stage::Closed => 'Its list',
        };
    }

    private function local(?\DateTimeImmutable $utc, string $format = 'j M Y, G:i'): string
    {
        return $utc?->setTimezone($this->roomClock->timeZone())->format($format) ?? '';
    }

    public function built(string $file): string
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
