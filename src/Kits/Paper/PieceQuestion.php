<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\SheetSize;

/** “Is there a piece of this size, colour, weight and direction?”, as it is asked in the address of the page. */
final readonly class PieceQuestion
{
    private const FIELDS = ['piece', 'colour', 'direction', 'weight', 'by'];
    private const MOST_CHARACTERS = 60;

    /**
     * @param array<string, string> $fields as they were typed
     * @param array<string, string> $errors by field
     */
    private function __construct(
        public array $fields,
        public ?Size $piece,
        public ?ColourWanted $colour,
        public Direction $direction,
        public ?Grammage $weight,
        public PaperOrder $order,
        public array $errors,
    ) {
    }

    /** @param array<mixed> $asked */
    public static function read(array $asked, LengthUnit $measure, ColourWords $colours): self
    {
        $fields = $errors = [];
        foreach (self::FIELDS as $field) {
            $value = $asked[$field] ?? '';
            $value = \is_string($value) && mb_check_encoding($value, 'UTF-8') ? trim(mb_substr($value, 0, self::MOST_CHARACTERS)) : '';
            if ('' !== $value) {
                $fields[$field] = $value;
            }
        }
        $piece = $colour = $weight = null;
        try {
            $piece = isset($fields['piece']) ? SheetSize::read($fields['piece'], $measure) : null;
        } catch (InvalidLength $wrong) {
            $errors['piece'] = $wrong->getMessage();
        }
        try {
            $colour = isset($fields['colour']) ? ColourWanted::read($fields['colour'], $colours) : null;
        } catch (InvalidColour $wrong) {
            $errors['colour'] = $wrong->getMessage();
        }
        try {
            $weight = isset($fields['weight']) ? Grammage::parse($fields['weight']) : null;
        } catch (InvalidGrammage $wrong) {
            $errors['weight'] = $wrong->getMessage();
        }

        return new self(
            $fields,
            $piece,
            $colour,
            Direction::tryFrom($fields['direction'] ?? '') ?? Direction::None,
            $weight,
            PaperOrder::tryFrom($fields['by'] ?? '') ?? PaperOrder::Colour,
            $errors,
        );
    }

    /** Whether there is anything to answer. */
    public function isAsked(): bool
    {
        return null !== $this->piece && [] === $this->errors;
    }
}
