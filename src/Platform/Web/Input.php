<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\InvalidWeight;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Measure\WeightFormat;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Paper\SheetShape;
use Lottel\Core\Paper\SheetSize;
use Lottel\Core\Words\Printable;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Uid\Uuid;

/** Reads a form's fields into typed values and gathers what is wrong with them. */
final class Input
{
    /** Nobody plans further ahead. */
    public const MOST_YEARS_AHEAD = 20;

    /** Ids that every page could make. */
    private const NO_IDS = ['00000000-0000-0000-0000-000000000000', 'ffffffff-ffff-ffff-ffff-ffffffffffff'];

    /** @var array<string, string> */
    private array $errors = [];

    /** @param (\Closure(): ColourWords)|null $colours asked only where a colour is read */
    public function __construct(
        private readonly Request $request,
        private readonly QuantityText $quantities,
        private readonly LengthUnit $measure,
        private readonly ?\Closure $colours = null,
    ) {
    }

    public function requestId(): string
    {
        $id = $this->raw('_request');
        if (!Uuid::isValid($id) || \in_array(strtolower($id), self::NO_IDS, true)) {
            if (0 === $this->request->request->count() && (int) $this->request->headers->get('Content-Length', '0') > 2_000_000) {
                throw new InvalidInput(['' => 'That was too much at once: the file is larger than 15 MB. Choose a smaller one.']);
            }
            throw new InvalidInput(['' => 'This form is incomplete. Open its page again; what you typed is still here to copy.']);
        }

        return strtolower($id);
    }

    public function text(string $field, int $most, bool $required = false): string
    {
        $text = $this->clean($field);
        if ($required && '' === $text) {
            $this->refuse($field, 'Please fill this in.');
        }
        if (mb_strlen($text) > $most) {
            $this->refuse($field, \sprintf('%s characters are too many; %d at the most.', number_format(mb_strlen($text)), $most));
        }
        if (!Printable::is($text)) {
            $this->refuse($field, 'There are characters in this that cannot be printed.');
        }

        return $text;
    }

    public function secret(string $field, int $least): string
    {
        $secret = $this->raw($field);
        if (mb_strlen($secret) < $least) {
            $this->refuse($field, \sprintf('At least %d characters, please.', $least));
        }
        if (\strlen($secret) > 200) {
            $this->refuse($field, '200 characters at the most.');
        }

        return $secret;
    }

    /** A log-in; those that begin with a tilde are nobody's. */
    public function login(string $field): string
    {
        $login = $this->text($field, 60, true);
        if (str_starts_with($login, '~')) {
            $this->refuse($field, 'A log-in begins with a letter or a digit.');
        }

        return $login;
    }

    public function timeZone(string $field): string
    {
        $zone = $this->text($field, 64);
        if (!\in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            $this->refuse($field, 'Choose the time zone of the room.');

            return 'UTC';
        }

        return $zone;
    }

    public function whole(string $field, int $least, int $most): int
    {
        $text = $this->clean($field);
        if (1 !== preg_match('/^-?\d{1,9}$/D', $text) || (int) $text < $least || (int) $text > $most) {
            $this->refuse($field, \sprintf('Give a whole number from %s to %s.', number_format($least), number_format($most)));

            return $least;
        }

        return (int) $text;
    }

    public function quantity(string $field, Tracking $tracking): int
    {
        try {
            return $this->quantities->parse($this->clean($field), $tracking);
        } catch (RefusedMovement|InvalidLength $problem) {
            $this->refuse($field, $problem->getMessage());

            return 1;
        }
    }

    /** Reads a length; null where nothing was typed. */
    public function length(string $field, ?int $mostMillimetres = null): ?Length
    {
        return $this->lengthFrom($this->clean($field), $field, $mostMillimetres);
    }

    /** Reads a length that may be nothing; null where nothing was typed. */
    public function lengthFromZero(string $field, ?int $mostMillimetres = null): ?Length
    {
        return 1 === preg_match('/^0+(?:[.,]0+)?\s*(?:mm|cm|m|in|")?$/iD', $this->clean($field)) ? Length::ofTicks(0) : $this->length($field, $mostMillimetres);
    }

    /**
     * Reads lengths between commas or semicolons.
     *
     * @return list<Length>
     */
    public function lengths(string $field): array
    {
        $parts = array_filter(array_map(trim(...), preg_split('/[;,\n]/', $this->clean($field)) ?: []), static fn (string $part): bool => '' !== $part);

        return array_values(array_filter(array_map(fn (string $part): ?Length => $this->lengthFrom($part, $field, null), $parts)));
    }

    private function lengthFrom(string $text, string $field, ?int $mostMillimetres): ?Length
    {
        if ('' === $text) {
            return null;
        }
        try {
            $length = Length::parse($text, $this->measure);
        } catch (InvalidLength $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
        if (0 === $length->ticks || (null !== $mostMillimetres && $length->ticks > $mostMillimetres * Length::TICKS_PER_MILLIMETRE)) {
            $most = Length::ofTenthMillimetres(10 * ($mostMillimetres ?? 0));
            $this->refuse(
                $field,
                null === $mostMillimetres
                    ? 'More than nothing, please.'
                    : \sprintf('More than nothing and no more than %s, please.', (new LengthFormat($this->measure))->rolled($most)),
            );
        }

        return $length;
    }

    /** Money as whole cents; `2.50`, `2,5` and `3` are read. */
    public function cents(string $field): int
    {
        if (1 !== preg_match('/^(\d{1,6})(?:[.,](\d{1,2}))?$/D', $this->clean($field), $m)) {
            $this->refuse($field, 'Write an amount such as 2.50.');

            return 0;
        }

        return 100 * (int) $m[1] + (int) str_pad($m[2] ?? '', 2, '0');
    }

    public function date(string $field): ?\DateTimeImmutable
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        $date =
            1 !== preg_match('/^[0-9]{4}-[0-9]{2}-[0-9]{2}$/D', $text)
                ? false
                : \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));
        if (false === $date || $date->format('Y-m-d') !== $text) {
            $this->refuse($field, 'Write the day like 2026-12-24.');

            return null;
        }

        return $date;
    }

    /** A date that is no further ahead than somebody plans. */
    public function nearDate(string $field, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        $date = $this->date($field);
        if (null !== $date && (int) $date->format('Y') > (int) $today->format('Y') + self::MOST_YEARS_AHEAD) {
            $this->refuse($field, 'That is more than twenty years ahead; is the year right?');
        }

        return $date;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return T
     */
    public function choice(string $field, string $enum): \BackedEnum
    {
        $chosen = $enum::tryFrom($this->clean($field));
        if (null === $chosen) {
            $this->refuse($field, 'Choose one of the list.');
        }

        return $chosen ?? $enum::cases()[0];
    }

    public function colour(string $field): ?string
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        try {
            return $this->colourWords()->read($text)->hex();
        } catch (InvalidColour $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
    }

    public function colourWords(): ColourWords
    {
        return null === $this->colours ? new ColourWords() : ($this->colours)();
    }

    /** Reads the size of a sheet; null where nothing was typed. */
    public function sheetSize(string $field): ?Size
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        try {
            return SheetSize::read($text, $this->measure);
        } catch (InvalidLength $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
    }

    /** Reads the sizes that a die cuts; null where nothing was typed. */
    public function cutSizes(string $field): ?CutSizes
    {
        $text = $this->text($field, 400);
        try {
            return '' === $text ? null : CutSizes::read($text, $this->measure);
        } catch (InvalidLength $wrong) {
            $this->refuse($field, $wrong->getMessage());

            return null;
        }
    }

    /** Reads the size or shape of a scrap; null where nothing was typed. */
    public function sheetShape(string $field): ?Sheet
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        try {
            return SheetShape::read($text, $this->measure);
        } catch (InvalidLength $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
    }

    /** Reads the weight of a paper; null where nothing was typed. */
    public function grammage(string $field): ?Grammage
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        try {
            return Grammage::parse($text);
        } catch (InvalidGrammage $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
    }

    /** Reads a weight in whole grams; null where nothing was typed. */
    public function grams(string $field, int $most): ?int
    {
        $text = $this->clean($field);
        if ('' === $text) {
            return null;
        }
        try {
            $grams = (new WeightFormat($this->measure))->parse($text);
        } catch (InvalidWeight $problem) {
            $this->refuse($field, $problem->getMessage());

            return null;
        }
        if ($grams > $most) {
            $this->refuse($field, \sprintf('%s at the most.', (new WeightFormat($this->measure))->print($most)));
        }

        return $grams;
    }

    public function file(string $field): ?UploadedFile
    {
        $file = $this->request->files->get($field);

        return $file instanceof UploadedFile ? $file : null;
    }

    /** @return list<string> */
    public function list(string $field): array
    {
        $value = $this->request->request->all()[$field] ?? [];

        return \is_array($value) ? array_values(
            array_map(static fn (mixed $one): string => Printable::cleaned((string) $one), array_filter($value, is_scalar(...))),
        ) : [];
    }

    public function isEmpty(string $field): bool
    {
        return '' === $this->clean($field);
    }

    /** Whether the form that was sent has such a field at all. */
    public function has(string $field): bool
    {
        return $this->request->request->has($field);
    }

    public function isTicked(string $field): bool
    {
        return '' !== $this->raw($field);
    }

    public function id(string $field): int
    {
        $text = $this->clean($field);

        return 1 === preg_match('/^\d{1,12}$/D', $text) ? (int) $text : 0;
    }

    /** How much was refused so far; backTo() forgets what was refused after it. */
    public function mark(): int
    {
        return \count($this->errors);
    }

    /** Forgets what was refused since a mark; returns whether anything was. */
    public function backTo(int $mark): bool
    {
        $isRefused = \count($this->errors) > $mark;
        $this->errors = \array_slice($this->errors, 0, $mark, true);

        return $isRefused;
    }

    public function refuse(string $field, string $message): void
    {
        $this->errors[$field] ??= $message;
    }

    /** @throws InvalidInput if anything was refused */
    public function check(): void
    {
        if ([] !== $this->errors) {
            throw new InvalidInput($this->errors);
        }
    }

    private function clean(string $field): string
    {
        $text = $this->raw($field);
        if (!mb_check_encoding($text, 'UTF-8')) {
            $this->refuse($field, 'This is not readable text.');

            return '';
        }
        $normal = \Normalizer::normalize($text, \Normalizer::FORM_C);
        $plain = str_replace("\r\n", "\n", \is_string($normal) ? $normal : $text);

        return preg_replace('/^[\s\p{Z}\x{200B}\x{FEFF}]+|[\s\p{Z}\x{200B}\x{FEFF}]+$/u', '', $plain) ?? $plain;
    }

    private function raw(string $field): string
    {
        $value = $this->request->request->all()[$field] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }
}
