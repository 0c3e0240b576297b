<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\Stack;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:paper', 'Converts paper weights and counts a stack by weighing.')]
final class PaperCommand extends DocumentCommand
{
    private const METRES = ['in' => 0.0254, 'mm' => 0.001];
    private const MOST = 1e9;

    public function answer(Document $document): array
    {
        $answer = [];
        if ($document->has('weights')) {
            $answer['weights'] = array_map($this->weight(...), $document->get('weights')->items());
        }
        if ($document->has('stack')) {
            $answer['stack'] = $this->stack($document->get('stack')->object());
        }

        return [] === $answer ? ['weights' => []] : $answer;
    }

    /** @return array{gsm: float, lb: float|null, basis: string|null} */
    private function weight(Document $weight): array
    {
        $weight->object();
        if ($weight->has('gsm') && !$weight->has('lb')) {
            $gsm = $this->positive($weight->get('gsm'));
            $basis = $weight->has('basis') && !$weight->get('basis')->isNull() ? $this->basis($weight->get('basis')) : null;

            return ['gsm' => $gsm, 'lb' => null === $basis ? null : $basis->pounds($gsm), 'basis' => $basis?->value];
        }
        $pounds = $this->positive($weight->get('lb'));
        $basis = $this->basis($weight->get('basis'));
        if ($weight->has('gsm')) {
            $weight->get('gsm')->refuse('Give gsm, or lb and basis, not both.');
        }

        return ['gsm' => $basis->grammage($pounds), 'lb' => $pounds, 'basis' => $basis->value];
    }

    /** @return array{sheets: int, least: int, most: int, sheet_grams: float} */
    private function stack(Document $stack): array
    {
        $metres = self::METRES[$stack->get('unit')->word(array_keys(self::METRES))];
        [$width, $height] = [$stack->get('w')->positiveLength()->value(), $stack->get('h')->positiveLength()->value()];
        $gsm = $this->positive($stack->get('gsm'));
        $grams = $this->positive($stack->get('grams'));
        $error = $this->fromZero($stack->get('scale_error_grams'));
        $sheet = Stack::sheetGrams($width * $metres, $height * $metres, $gsm);
        if ($sheet < 1e-9 || ($grams + $error) / $sheet > 1e12) {
            $stack->get('grams')->refuse('So light a sheet cannot be counted by this weight.');
        }
        $counted = Stack::weighed($sheet, $grams, $error);

        return ['sheets' => $counted->sheets, 'least' => $counted->least, 'most' => $counted->most, 'sheet_grams' => $sheet];
    }

    private function basis(Document $basis): Basis
    {
        return Basis::from($basis->word(array_map(static fn (Basis $one): string => $one->value, Basis::cases())));
    }

    private function positive(Document $number): float
    {
        $value = $number->number();
        if ($value <= 0 || $value > self::MOST) {
            $number->refuse('This must be above zero.');
        }

        return $value;
    }

    private function fromZero(Document $number): float
    {
        $value = $number->number();
        if ($value < 0 || $value > self::MOST) {
            $number->refuse('This must not be negative.');
        }

        return $value;
    }
}
