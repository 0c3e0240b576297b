<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** What names and themes of things speak of, as far as there is a simple picture for it. */
enum Motif: string
{
    case Lighthouse = 'lighthouse';
    case Gull = 'gull';
    case Wave = 'wave';
    case Boat = 'boat';
    case Fish = 'fish';
    case Shell = 'shell';
    case Anchor = 'anchor';
    case Rope = 'rope';
    case Leaf = 'leaf';
    case Flower = 'flower';
    case Tree = 'tree';
    case Star = 'star';
    case Heart = 'heart';
    case Rain = 'rain';
    case Moon = 'moon';
    case Sun = 'sun';
    case House = 'house';
    case Cake = 'cake';
    case Gift = 'gift';
    case Bunting = 'bunting';
    case Word = 'word';
    case Grid = 'grid';
    case Circle = 'circle';

    private const WORDS = [
        'lighthouse|lantern|beacon' => self::Lighthouse,
        'gull|gulls|bird|birds|seabirds|tern|petrel|puffin|oystercatcher|oystercatchers|robin|wren' => self::Gull,
        'sea|wave|waves|tide|swell|water|harbour|coast|shore' => self::Wave,
        'boat|boats|ship|ships|ferry|sail|sails|oar|oars' => self::Boat,
        'fish|herring|mackerel|cod' => self::Fish,
        'shell|shells|limpet|cockle' => self::Shell,
        'anchor|anchors|buoy|bollard|quay|pier' => self::Anchor,
        'rope|ropes|knot|knots|net|nets|twine' => self::Rope,
        'leaf|leaves|fern|ferns|kelp|moss|botanical|botanicals|garden|herb|herbs|plant|plants|autumn|harvest' => self::Leaf,
        'flower|flowers|bloom|blooms|rose|thrift|daisy|spring' => self::Flower,
        'tree|trees|pine|fir|winter|wood' => self::Tree,
        'star|stars|christmas' => self::Star,
        'heart|hearts|love|wedding' => self::Heart,
        'rain|storm|cloud|clouds|weather|sky' => self::Rain,
        'moon|night|dusk' => self::Moon,
        'sun|summer|dawn' => self::Sun,
        'house|houses|home|roof|roofs|slates|cottage|town' => self::House,
        'cake|birthday|candle|candles' => self::Cake,
        'gift|gifts|present|presents' => self::Gift,
        'bunting|flag|flags|banner' => self::Bunting,
        'word|words|alphabet|letters|sentiment|sentiments|thanks|thank|condolence|greeting|greetings' => self::Word,
        'panel|grid|frame|frames|rectangle|rectangles|square|squares' => self::Grid,
    ];

    /**
     * Returns the pictures for what a name speaks of, then for its themes, each once; a ring where nothing is known.
     *
     * @param list<string> $themes
     *
     * @return non-empty-list<self>
     */
    public static function of(string $name, array $themes): array
    {
        $motifs = [];
        foreach (preg_split('/[^\p{L}]+/u', mb_strtolower($name.' '.implode(' ', $themes)), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $motif = self::ofWord($word);
            if (null !== $motif && !\in_array($motif, $motifs, true)) {
                $motifs[] = $motif;
            }
        }

        return [] === $motifs ? [self::Circle] : $motifs;
    }

    private static function ofWord(string $word): ?self
    {
        /** @var array<string, self>|null $byWord */
        static $byWord = null;
        if (null === $byWord) {
            $byWord = [];
            foreach (self::WORDS as $words => $motif) {
                $byWord += array_fill_keys(explode('|', $words), $motif);
            }
        }

        return $byWord[$word] ?? null;
    }
}
