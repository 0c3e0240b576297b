<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What a tablet or phone needs to put Lottel on its home screen. */
final class ManifestController
{
    private const ICONS = ['icon-192.png' => ['192x192', 'any'], 'icon-512.png' => ['512x512', 'any'], 'icon-512-safe.png' => ['512x512', 'maskable']];

    #[Route('/app.webmanifest', name: 'web_manifest', methods: ['GET'])]
    public function index(LottelExtension $assets): Response
    {
        $icon = static fn (string $name, array $of): array => ['src' => $assets->built($name), 'type' => 'image/png', 'sizes' => $of[0], 'purpose' => $of[1]];

        return new JsonResponse([
            'name' => 'Lottel',
            'short_name' => 'Lottel',
            'start_url' => '/',
            'scope' => '/',
            'display' => 'standalone',
            'background_color' => '#efe8d8',
            'theme_color' => '#22303a',
            'icons' => array_map($icon, array_keys(self::ICONS), self::ICONS),
        ], 200, ['Content-Type' => 'application/manifest+json']);
    }
}
