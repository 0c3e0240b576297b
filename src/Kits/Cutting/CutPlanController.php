<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Page;
use App\Platform\Web\TableFile;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A kit's cut plan to take along: drawings, lists, the planner's document, and the order for a copy shop. */
#[Route('/kits/{id<[0-9]{1,12}>}/cut')]
final class CutPlanController extends Page
{
    public function __construct(
        private readonly Kits $kits,
        private readonly KitReading $reading,
        private readonly TableReading $table,
        private readonly PlanDocument $document,
    ) {
    }

    #[Route('/plan.pdf', name: 'cut_pdf', methods: ['GET'], defaults: ['size' => 'fit'])]
    #[Route('/true-size.pdf', name: 'cut_true_pdf', methods: ['GET'], defaults: ['size' => 'true'])]
    public function pdf(int $id, string $size, PlanPdf $pdf): Response
    {
        $kit = $this->kits->one($id);

        return $this->download($pdf->set($this->planned($id), 'Cuts for '.$kit->name, 'true' === $size), 'application/pdf', 'cuts.pdf');
    }

    #[Route('/sheet-{sheet<[0-9]{1,12}>}.svg', name: 'cut_svg', methods: ['GET'], defaults: ['size' => 'fit'])]
    #[Route('/sheet-{sheet<[0-9]{1,12}>}-true-size.svg', name: 'cut_true_svg', methods: ['GET'], defaults: ['size' => 'true'])]
    public function svg(int $id, int $sheet, string $size, PlanSvg $svg): Response
    {
        $table = $this->planned($id);
        if (!isset($table->sheets[$sheet])) {
            throw Unknown::line($sheet);
        }

        return $this->download($svg->drawn($table, $sheet, 'true' === $size), 'image/svg+xml', 'sheet.svg');
    }

    /** The document that `lottel:cut-plan` reads. */
    #[Route('/plan.json', name: 'cut_document', methods: ['GET'])]
    public function document(int $id): Response
    {
        return $this->download(self::jsonDocument($this->document->question($this->kits->one($id))), 'application/json', 'cut-plan.json');
    }

    /** The plan as `lottel:cut-plan` would print it. */
    #[Route('/cuts.json', name: 'cuts_json', methods: ['GET'])]
    public function cuts(int $id): Response
    {
        return $this->download(self::jsonDocument($this->document->answer($this->kits->one($id))), 'application/json', 'cuts.json');
    }

    #[Route('/cuts.{type<csv|xlsx>}', name: 'cuts_file', methods: ['GET'])]
    public function cutsList(int $id, string $type, PlanTable $plan, TableFile $file): Response
    {
        return $file->answer($plan->cuts($this->table->of($this->kits->one($id)), $this->measures->lengths()), $type);
    }

    #[Route('/pieces.{type<csv|xlsx>}', name: 'pieces_file', methods: ['GET'])]
    public function piecesList(int $id, string $type, PlanTable $plan, TableFile $file): Response
    {
        return $file->answer($plan->pieces($this->table->of($this->kits->one($id)), $this->measures->lengths()), $type);
    }

    /** What a copy shop is to cut: whole stacks, each cut through all of it. */
    #[Route('/order', name: 'cut_order', methods: ['GET'])]
    public function order(int $id): Response
    {
        return $this->render('kits/cutting/order.html.twig', ['kit' => $this->reading->one($id), 'table' => $this->planned($id)]);
    }

    private function planned(int $id): CuttingTable
    {
        $table = $this->table->of($this->kits->one($id));

        return [] === $table->sheets ? throw Unknown::line($id) : $table;
    }
}
