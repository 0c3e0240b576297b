<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\InvalidPhoto;
use App\Room\Catalogue\KeepPhoto;
use Lottel\Core\Paper\PaperSize;
use Lottel\Core\Picture\ScrapOnSheet;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A scrap that is measured by its photo, on a sheet of known size; the photo is looked at and not kept. */
#[IsGranted('ROLE_OWNER')]
final class ScrapPhotoController extends Page
{
    private const DEMO_SHEET = '/demo/pictures/scrap-on-sheet.jpg';

    /** Looked at in this size, in pixels along the longer side. */
    private const SIDE = 480;

    public function __construct(
        private readonly KeepPhoto $photos,
        private readonly ScrapReading $scraps,
        #[Autowire('%kernel.project_dir%')]
        private readonly string $projectDir,
    ) {
    }

    #[Route('/paper/scrap-photo', name: 'scrap_photo', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        return $this->show($problem, null);
    }

    /** Only looks, and writes nothing. */
    #[Route('/paper/scrap-photo', name: 'measure_scrap', methods: ['POST'])]
    public function measure(Request $request): Response
    {
        $input = $this->input($request);
        try {
            $sheet = $input->choice('sheet', PaperSize::class);
            $input->check();
            $file = $this->picture($input->file('photo'), $input->isTicked('demo_sheet')) ?? throw InvalidPhoto::didNotArrive();

            return $this->show(null, ScrapOnSheet::measured($this->photos->rasterOf($file, self::SIDE), $sheet->size()));
        } catch (\Throwable $exception) {
            $problem = Problem::from($exception, $request, $this->measures->quantities()) ?? throw $exception;
            $response = $this->show($problem, null);
            $response->setStatusCode($problem->status);

            return $response;
        }
    }

    private function show(?Problem $problem, ?ScrapOnSheet $found): Response
    {
        return $this->render('kits/paper/scrap_photo.html.twig', [
            'found' => $found,
            'size' => $found?->rounded($this->measures->measure()),
            'off' => $found?->mayBeOff($this->measures->measure()),
            'sheets' => $sheets = PaperSize::usualIn($this->measures->measure()),
            'usual' => $sheets[0]->value,
            'papers' => null === $found ? [] : $this->scraps->papersNear($found->colour),
            'problem' => $problem,
        ]);
    }

    private function picture(?UploadedFile $file, bool $isDemo): ?UploadedFile
    {
        return null === $file && $isDemo && $this->frame->isDemo()
            ? new UploadedFile($this->projectDir.self::DEMO_SHEET, 'scrap.jpg', 'image/jpeg', null, true)
            : $file;
    }
}
