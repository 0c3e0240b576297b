<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Division;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Places as pieces of furniture: divided, split, moved, numbered, taken out of use. */
#[IsGranted('ROLE_OWNER')]
final class PlaceFurnitureController extends Page
{
    public function __construct(
        private readonly RoomReading $room,
        private readonly PlaceReading $reading,
        private readonly Places $places,
        private readonly ChangeFurniture $furniture,
    ) {
    }

    #[Route('/stores/places/{address}/furniture', name: 'place_furniture', methods: ['GET'])]
    public function furniture(string $address, ?Problem $problem = null): Response
    {
        $place = $this->reading->inUse($address);

        return $this->render('room/stores/furniture.html.twig', [
            'place' => $place,
            'divisions' => Division::cases(),
            'lives_here' => $this->reading->livesIn($place->id),
            'lit' => $this->room->lit([$place->id]),
            'problem' => $problem,
        ]);
    }

    #[Route('/stores/places/{address}/divide', name: 'divide_into', methods: ['POST'])]
    public function divideInto(Request $request, string $address, BuildUnit $build): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place) use ($build): Outcome {
            $division = $input->choice('division', Division::class);
            $isGrid = Division::Grid === $division;
            $rows = $isGrid ? $input->whole('rows', 1, Division::MOST) : 1;
            $columns = $isGrid ? $input->whole('columns', 1, Division::MOST) : 1;
            $input->check();
            $inner = $build->divideInto($place, $division, $rows, $columns);

            return Outcome::undoable(
                $this->urlOf($place),
                \sprintf('%s holds %s now; their labels wait to be printed.', $place->address, self::addresses($inner)),
            );
        });
    }

    #[Route('/stores/places/{address}/split', name: 'split_place', methods: ['POST'])]
    public function split(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place): Outcome {
            $parts = $input->whole('parts', 2, 12);
            $isSideBySide = 'across' === $input->text('direction', 10);
            $input->check();
            $new = $this->furniture->split($place, $parts, $isSideBySide);
            $are = Counted::verb(\count($new));

            return Outcome::undoable(
                $this->urlOf($place),
                \sprintf('Beside %1$s there %2$s now %3$s. What was in it is still in %1$s.', $place->address, $are, self::addresses($new)),
            );
        });
    }

    #[Route('/stores/places/{address}/address', name: 'readdress_place', methods: ['POST'])]
    public function readdress(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place): Outcome {
            $this->furniture->readdress($place, $this->newAddress($input));

            return Outcome::undoable($this->urlOf($place), \sprintf('It is %s now; its label waits to be printed.', $place->address));
        });
    }

    #[Route('/stores/places/{address}/into', name: 'move_place', methods: ['POST'])]
    public function moveInto(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place): Outcome {
            $outer = $this->places->required($input, 'outer');
            $this->furniture->moveInto($place, $outer);

            return Outcome::undoable(
                $this->urlOf($place),
                \sprintf('It stands in %s now, as %s, with all that is in it.', $outer->address, $place->address),
            );
        });
    }

    #[Route('/stores/places/{address}/retire', name: 'retire_place', methods: ['POST'])]
    public function retire(Request $request, string $address): Response
    {
        return $this->step($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            [$outer, $unit, $old] = [$place->parent, $place->unit, $place->address];
            $this->furniture->retire($step, $place);
            $to = null !== $outer ? $this->urlOf($outer) : $this->generateUrl('unit', ['letters' => $unit->letters ?? '']);

            return Outcome::undoable($to, \sprintf('%s is no longer in use. Its log stays.', $old));
        });
    }

    /** @param callable(Input, Place, Step): Outcome $work */
    private function step(Request $request, string $address, callable $work): Response
    {
        return $this->write(
            $request,
            fn (Input $input, Step $step): Outcome => $work($input, $this->places->inUse($address), $step),
            fn (Problem $problem): Response => $this->furniture($address, $problem),
        );
    }

    private function newAddress(Input $input): Address
    {
        $typed = $input->text('new_address', 24, true);
        try {
            $new = Address::parse($typed);
        } catch (InvalidAddress $problem) {
            $input->refuse('new_address', $problem->getMessage());
        }
        $input->check();
        \assert(isset($new));

        return $new;
    }

    /** @param list<Place> $places */
    private static function addresses(array $places): string
    {
        return implode(', ', array_map(static fn (Place $place): string => $place->address, $places));
    }

    private function urlOf(Place $place): string
    {
        return $this->generateUrl('place', ['address' => $place->address]);
    }
}
