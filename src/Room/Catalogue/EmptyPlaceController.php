<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceFurnitureController;
use App\Room\Stores\Places;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is in a place goes into another one, for good. */
#[IsGranted('ROLE_OWNER')]
final class EmptyPlaceController extends Page
{
    public function __construct(private readonly Places $places, private readonly EmptyPlace $empty)
    {
    }

    #[Route('/stores/places/{address}/merge', name: 'merge_place', methods: ['POST'])]
    public function merge(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            $with = $this->places->required($input, 'with');
            $gone = $with->address;
            $this->empty->merge($step, $place, $with);

            return Outcome::undoable(
                $this->generateUrl('place', ['address' => $place->address]),
                \sprintf('%1$s and %2$s are one now: %1$s. All that was in them is in it.', $place->address, $gone),
            );
        });
    }

    #[Route('/stores/places/{address}/empty', name: 'empty_place', methods: ['POST'])]
    public function empty(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            $to = $this->places->required($input, 'to');
            $moved = ($this->empty)($step, $place, $to);

            return Outcome::undoable(
                $this->generateUrl('place_furniture', ['address' => $place->address]),
                \sprintf('%s in %s now.', Counted::of($moved, 'thing lives', 'things live'), $to->address),
            );
        });
    }

    /** @param callable(Input, Place, Step): Outcome $work */
    private function step(Request $request, string $address, callable $work): Response
    {
        return $this->write(
            $request,
            fn (Input $input, Step $step): Outcome => $work($input, $this->places->inUse($address), $step),
            fn (Problem $problem): Response => $this->forward(PlaceFurnitureController::class.'::furniture', ['address' => $address, 'problem' => $problem]),
        );
    }
}
