<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\RoomReading;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is lost, where it may be, and the search for it. */
final class LostController extends Page
{
    private const FOREMOST = 5;

    public function __construct(private readonly LostReading $reading, private readonly RoomReading $room)
    {
    }

    #[Route('/upkeep/lost/{id<[0-9]{1,12}>?}', name: 'lost', methods: ['GET'])]
    public function index(?int $id = null, ?Problem $problem = null): Response
    {
        $lost = $this->reading->all();
        $chosen = null === $id ? $lost[0] ?? null : $this->reading->one($id);
        if (null !== $id && null === $chosen) {
            return $this->redirectToRoute('item', ['id' => $id]);
        }
        $search = null === $chosen ? null : $this->reading->search($chosen->thing->id);

        return $this->render('upkeep/lost/lost.html.twig', [
            'lost' => $lost,
            'chosen' => $chosen,
            'search' => $search,
            'foremost' => $search?->foremost(self::FOREMOST) ?? [],
            'rest' => $search?->restOf(self::FOREMOST),
            'more' => $search?->moreThan(self::FOREMOST),
            'lit' => $this->room->litWith(array_map(
                static fn (LikelySpot $spot): array => [$spot->likely->place, $spot->percent().' %'],
                $search?->foremost(self::FOREMOST) ?? [],
            )),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/lost/{id<[0-9]{1,12}>}', name: 'look_for', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function look(Request $request, int $id, Items $items, LookFor $look): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $items, $look): Outcome {
            $errand = $look($step, $items->one($id));

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, fn (Problem $problem): Response => $this->index(null, $problem));
    }
}
