<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Tells a page that waits how far its step is. */
final class ProgressController extends Page
{
    #[Route('/progress/{id<[0-9a-f-]{1,36}>}', name: 'progress', methods: ['GET'])]
    public function index(string $id, Progress $progress): Response
    {
        return new Response($progress->of($id), 200, ['Content-Type' => 'application/json', 'Cache-Control' => 'no-store']);
    }
}
