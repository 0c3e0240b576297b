<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Web\Page;
use App\Platform\Web\Pdf;
use App\Platform\Web\TableFile;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Supply lists as files. */
final class SupplyController extends Page
{
    private const COLUMNS = ['what', 'kind', 'maker', 'colour', 'hex', 'quantity', 'used', 'cents'];

    #[Route('/shelf/{id<[0-9]{1,12}>}/supplies.{type<txt|csv|xlsx|json|pdf>}', name: 'supplies', methods: ['GET'])]
    public function written(int $id, string $type, ShelfReading $shelf, Supplies $supplies, TableFile $file): Response
    {
        $name = $shelf->one($id)->thing->name;
        $list = $supplies->of($id);
        $rows = array_map(static fn (Supply $one): array => [
            $one->name, $one->kind->value, $one->maker, $one->colourName, $one->colour ?? '', $one->quantity, $one->used > 0 ? 'yes' : 'no', $one->cents,
        ], $list->lines);
        if (\in_array($type, ['csv', 'xlsx'], true)) {
            return $file->plain('supplies', self::COLUMNS, $rows, $type);
        }
        [$content, $mime] = match ($type) {
            'json' => [self::jsonDocument([
                'format' => 'lottel-supplies',
                'version' => 1,
                'piece' => $name,
                'made' => $list->made,
                'cents_each' => $list->centsEach(),
                'supplies' => array_map(static fn (array $row): array => array_combine(self::COLUMNS, $row), $rows),
                'cuts' => $list->cuts,
            ]), 'application/json'],
            'pdf' => [Pdf::ofText($name, \array_slice(explode("\n", trim($list->text($name))), 1), $this->measures->page()), 'application/pdf'],
            default => [$list->text($name), 'text/plain; charset=utf-8'],
        };

        return $this->download($content, $mime, 'supplies.'.$type);
    }
}
