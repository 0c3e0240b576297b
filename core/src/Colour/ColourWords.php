<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Colours as people name them, beside the room's own named colours (common practice, no source). */
final readonly class ColourWords
{
    /** The chips to choose from, in rainbow order as far as words have one. */
    public const CHIPS = [
        'blush' => '#f0d2cb', 'pink' => '#f2a3b6', 'magenta' => '#c7278c', 'burgundy' => '#7b1e34', 'red' => '#c8322d', 'coral' => '#f57f4f',
        'rust' => '#b0502a', 'orange' => '#ee8a2c', 'peach' => '#f8c59b', 'mustard' => '#d4a017', 'yellow' => '#f5d327',
        'lime' => '#a8cf38', 'olive' => '#7d7f2c', 'green' => '#2e8b47', 'mint' => '#a9dcc3', 'turquoise' => '#3cc4bd', 'teal' => '#157a80',
        'sky blue' => '#8cc8e8', 'blue' => '#2562c9', 'navy' => '#1b2a55', 'lavender' => '#b9a6d9', 'violet' => '#6f3fa0', 'plum' => '#7d3c6d',
        'brown' => '#7a4e2d', 'kraft' => '#b08d5b', 'tan' => '#d2b48c',
        'white' => '#ffffff', 'cream' => '#f6eed6', 'silver' => '#c3c7cb', 'grey' => '#808080', 'charcoal' => '#3d4247', 'black' => '#1a1a1a',
    ];

    private const ALIASES = [
        'gray' => 'grey',
        'navy blue' => 'navy',
        'purple' => 'violet',
        'aqua' => 'turquoise',
        'cyan' => 'turquoise',
        'off-white' => 'cream',
        'off white' => 'cream',
        'ivory' => 'cream',
        'ecru' => 'cream',
        'beige' => 'tan',
        'sand' => 'tan',
        'rose' => 'pink',
        'fuchsia' => 'magenta',
        'wine' => 'burgundy',
        'maroon' => 'burgundy',
        'scarlet' => 'red',
        'crimson' => 'red',
        'salmon' => 'coral',
        'terracotta' => 'rust',
        'gold' => 'mustard',
        'lilac' => 'lavender',
        'indigo' => 'violet',
        'aubergine' => 'plum',
        'chocolate' => 'brown',
        'slate' => 'charcoal',
        'lemon' => 'yellow',
        'apricot' => 'peach',
        'royal blue' => 'blue',
        'forest green' => 'green',
        'azure' => 'sky blue',
    ];

    private const SHADES = ['light' => 0.14, 'pale' => 0.18, 'soft' => 0.12, 'dark' => -0.16, 'deep' => -0.16];

    /** How far a word may be from a colour that it names. */
    private const NAMES_WITHIN = 12.0;

    /** @var array<string, string> hex by the room's own names, in lower case */
    private array $own;

    /** @var array<string, string> the room's own names as they are spelt, by themselves in lower case */
    private array $spelt;

    /** @param array<string, string> $own the room's own colours, hex by name */
    public function __construct(array $own = [])
    {
        $hexes = $spelt = [];
        foreach ($own as $name => $hex) {
            $hexes[mb_strtolower($name)] = $hex;
            $spelt[mb_strtolower($name)] = $name;
        }
        [$this->own, $this->spelt] = [$hexes, $spelt];
    }

    /**
     * Reads a hex code, one of the room's own colours, or a word such as `navy` or `light green`.
     *
     * @throws InvalidColour if it is none of these
     */
    public function read(string $text): Srgb
    {
        return $this->find($text) ?? throw str_starts_with(trim($text), '#') ? InvalidColour::notHex(trim($text)) : InvalidColour::unknownWord(trim($text));
    }

    /** Returns the colour that a text names, or null where it names none. */
    public function find(string $text): ?Srgb
    {
        $plain = (string) preg_replace('/\s+/u', ' ', mb_strtolower(trim($text)));
        if (str_starts_with($plain, '#')) {
            return 1 === preg_match('/^#[0-9a-f]{6}$/D', $plain) ? Srgb::ofHex($plain) : null;
        }
        $hex = $this->own[$plain] ?? self::CHIPS[$plain] ?? self::CHIPS[self::ALIASES[$plain] ?? ''] ?? null;

        return null === $hex ? $this->shaded($plain) : Srgb::ofHex($hex);
    }

    /** Returns the name of a colour as the room spells it already; as it was typed where it has none of that name. */
    public function spelt(string $name): string
    {
        return $this->spelt[(string) preg_replace('/\s+/u', ' ', mb_strtolower(trim($name)))] ?? $name;
    }

    /** Returns the words by which a colour may be looked for: its family, and the chips that are near it. */
    public static function wordsFor(Srgb $colour): string
    {
        $lab = Lab::of($colour);
        $near = [];
        foreach (self::CHIPS as $word => $hex) {
            $difference = Difference::between($lab, Lab::of(Srgb::ofHex($hex)));
            if ($difference <= self::NAMES_WITHIN) {
                $near[$word] = $difference;
            }
        }
        asort($near);
        $family = Family::of($colour);

        return implode(' ', array_unique([...(Family::Neutral === $family ? [] : [$family->value]), ...\array_slice(array_keys($near), 0, 2)]));
    }

    private function shaded(string $plain): ?Srgb
    {
        [$shade, $rest] = explode(' ', $plain, 2) + [1 => ''];
        $base = isset(self::SHADES[$shade]) && '' !== $rest ? $this->find($rest) : null;
        if (null === $base) {
            return null;
        }
        $colour = OkLch::of($base);

        return $colour->atLightness(min(0.97, max(0.12, $colour->l + self::SHADES[$shade])));
    }
}
