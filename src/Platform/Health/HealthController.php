<?php

declare(strict_types=1);

namespace App\Platform\Health;

use App\Platform\Backup\AgeOfBackup;
use App\Platform\Web\Page;
use Lottel\Core\Upkeep\Safe\DiskSpace;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** How the installation does, for the owner. */
#[IsGranted('ROLE_OWNER')]
final class HealthController extends Page
{
    private const FAULTS = 8;

    #[Route('/upkeep/health', name: 'health', methods: ['GET'])]
    public function index(Request $request, HealthReading $health, AgeOfBackup $backup): Response
    {
        $disk = $health->disk();
        // To go through all of a large log takes seconds, so that is done when it is asked for.
        $isLooking = $request->query->has('look');

        return $this->render('platform/health/index.html.twig', [
            'disk' => $disk,
            'space' => new DiskSpace($disk['free'], $disk['room']),
            'damage' => $isLooking ? $health->damage() : null,
            'audit' => $isLooking ? $health->audit() : null,
            'age' => $backup->now(),
            'lately' => $health->lately(self::FAULTS),
        ]);
    }
}
