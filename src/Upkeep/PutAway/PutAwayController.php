<?php

declare(strict_types=1);

namespace App\Upkeep\PutAway;

use App\Kits\Kits\Kit;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\RoomReading;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What still lies about, and the one round that puts it away. */
final class PutAwayController extends Page
{
    private const MOST = 24;

    public function __construct(private readonly LeftOutReading $reading, private readonly RoomReading $room)
    {
    }

    #[Route('/upkeep/lying', name: 'lying', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $kits = $this->reading->kits();
        $homes = [];
        foreach ($kits as $kit) {
            foreach ($kit->things as $row) {
                $homes[] = $row->thing->homeId;
            }
        }

        return $this->render('upkeep/put_away/lying.html.twig', [
            'kits' => $kits,
            'homeless' => $this->reading->homeless(),
            'lit' => $this->room->lit($homes),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/lying', name: 'put_away', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function putAway(Request $request, Kits $kits, PutAway $putAway): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($kits, $putAway): Outcome {
            $ids = \array_slice(array_unique($input->list('kit')), 0, self::MOST);
            if ([] === $ids) {
                throw StepRefused::nothingChosen();
            }
            $errand = $putAway($step, array_values(array_map(static fn (string $id): Kit => $kits->one((int) $id), $ids)));

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, $this->index(...));
    }
}
