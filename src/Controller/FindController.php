<?php

declare(strict_types=1);

namespace App\Controller;

use App\Reading\FindReading;
use App\Reading\RoomReading;
use App\Web\Page;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class FindController extends Page
{
    #[Route('/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, FindReading $finder, RoomReading $room): Response
    {
        $text = mb_substr($request->query->getString('q'), 0, 200);
        $found = $finder->search($text);
        $lit = [];
        foreach ($found['items'] as $index => $item) {
            $front = null === $item['home_id'] ? null : $room->frontOf((int) $item['home_id']);
            if (null !== $front) {
                $lit[$front] ??= $index < 9 ? (string) ($index + 1) : '';
            }
        }
        foreach ($found['places'] as $place) {
            $front = $room->frontOf((int) $place['id']);
            if (null !== $front) {
                $lit[$front] ??= '';
            }
        }
        $isFragment = $request->headers->has('HX-Request') && 'results' === $request->headers->get('HX-Target');

        return $this->render($isFragment ? 'find/_results.html.twig' : 'find/page.html.twig', ['text' => $text, 'found' => $found, 'lit' => $lit, 'is_fragment' => $isFragment]);
    }
}
