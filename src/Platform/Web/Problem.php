<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Database\RoomUnavailable;
use App\Platform\Steps\Refusal;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Colour\InvalidPalette;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Cutting\RefusedCut;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Filing\InvalidScheme;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\RefusedRetracking;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\InvalidWeight;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Picture\UnclearPicture;
use Lottel\Core\Workshop\InvalidWorkshop;
use Symfony\Component\DependencyInjection\Attribute\Exclude;
use Symfony\Component\HttpFoundation\Request;

/** What went wrong with a form, to be shown on its page again together with what was typed. */
#[Exclude]
final readonly class Problem
{
    /**
     * @param array<string, string> $errors message by field
     * @param array<mixed> $typed
     */
    private function __construct(public int $status, public string $message, private array $errors, private array $typed, private string $form)
    {
    }

    /** Returns the problem that a person can mend, or null where the exception is a fault of the program. */
    public static function from(\Throwable $exception, Request $request, QuantityText $quantities): ?self
    {
        $unavailable = RoomUnavailable::from($exception);
        [$status, $errors] = match (true) {
            $exception instanceof InvalidInput => [422, $exception->errors],
            $exception instanceof InvalidUnit => [422, [$exception->field => $exception->inWords(new LengthFormat($quantities->unit))]],
            $exception instanceof InvalidLabel => [422, [$exception->field => $exception->getMessage()]],
            $exception instanceof InvalidPaste => [422, ['things' => $exception->getMessage()]],
            $exception instanceof InvalidPalette => [422, ['palette' => $exception->getMessage()]],
            $exception instanceof InvalidAddress => [422, ['address' => $exception->getMessage()]],
            $exception instanceof InvalidScheme => [422, ['scheme' => $exception->getMessage()]],
            $exception instanceof InvalidLength => [422, ['quantity' => $exception->getMessage()]],
            $exception instanceof InvalidWeight => [422, ['grams' => $exception->getMessage()]],
            $exception instanceof RefusedMovement => [422, ['quantity' => $exception->inWords($quantities)]],
            $exception instanceof InvalidDesign => [422, [$exception->column() => $exception->getMessage()]],
            $exception instanceof InvalidWorkshop => [422, [$exception->field => $exception->getMessage()]],
            $exception instanceof InvalidPieces => [422, ['pieces' => $exception->getMessage()]],
            $exception instanceof RefusedCut => null === $exception->field ? [409, []] : [422, [$exception->field => $exception->getMessage()]],
            $exception instanceof UnclearPicture => [422, ['photo' => $exception->getMessage()]],
            $exception instanceof RefusedRetracking => [422, ['becomes' => $exception->getMessage()]],
            $exception instanceof Refusal => null === $exception->field() ? [409, []] : [422, [$exception->field() => $exception->getMessage()]],
            $exception instanceof RefusedStage => [409, []],
            null !== $unavailable => [503, []],
            default => [0, []],
        };
        if (0 === $status) {
            return null;
        }
        $message = match (true) {
            null !== $unavailable => $unavailable->getMessage(),
            isset($errors['']) => $errors[''],
            $exception instanceof RefusedMovement => $exception->inWords($quantities),
            $exception instanceof InvalidUnit => $exception->inWords(new LengthFormat($quantities->unit)),
            default => $exception->getMessage(),
        };
        $fields = $request->request->all();
        $form = $fields['_form'] ?? '';

        return new self($status, $message, $errors, $fields, \is_string($form) ? $form : '');
    }

    /** Nothing is wrong: the page as it is by now. */
    public static function none(): self
    {
        return new self(200, '', [], [], '');
    }

    /** Whether it is in this form. */
    public function isIn(string $form): bool
    {
        return $form === $this->form;
    }

    public function of(string $form, string $field): ?string
    {
        return $form === $this->form ? $this->errors[$field] ?? null : null;
    }

    public function typed(string $form, string $field, string|int|null $otherwise = ''): string
    {
        $value = $form === $this->form ? $this->typed[$field] ?? $otherwise : $otherwise;

        return \is_scalar($value) ? (string) $value : (string) $otherwise;
    }

    /**
     * Returns what was ticked or typed in a field of which there are several.
     *
     * @param list<mixed> $otherwise
     *
     * @return list<string>
     */
    public function list(string $form, string $field, array $otherwise = []): array
    {
        $values = $form === $this->form ? $this->typed[$field] ?? [] : $otherwise;

        return \is_array($values) ? array_values(array_map(strval(...), array_filter($values, is_scalar(...)))) : [];
    }

    public function isTicked(string $form, string $field, bool $otherwise): bool
    {
        return $form === $this->form ? isset($this->typed[$field]) : $otherwise;
    }
}
