<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The sizes that the room's dies cut, asked for one die after the other. */
final class DieController extends Page
{
    public function __construct(private readonly DieReading $dies, private readonly Items $items)
    {
    }

    #[Route('/stores/dies', name: 'dies', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        [$said, $unsaid] = $this->dies->many();

        return $this->render('room/catalogue/dies.html.twig', [
            'unsaid' => $this->dies->unsaid(),
            'said' => $this->dies->said(),
            'many_said' => $said,
            'many_unsaid' => $unsaid,
            'problem' => $problem,
        ]);
    }

    /** The sizes that can be had, for fields with list="die-sizes". */
    #[Route('/stores/dies/sizes', name: 'die_sizes', methods: ['GET'])]
    public function sizes(): Response
    {
        return $this->render('room/catalogue/die_sizes.html.twig', ['sizes' => $this->dies->sizes()]);
    }

    #[Route('/stores/dies', name: 'say_cuts', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function say(Request $request, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($describe): Outcome {
            $changed = [];
            foreach ($this->items->several($input->list('dies'), DieReading::MOST) as $die) {
                if (!$input->isEmpty('cuts_'.$die->id)) {
                    $changed[] = [$die, ItemForm::cutting($input, $die->record(), 'cuts_'.$die->id)];
                }
            }
            $input->check();
            if ([] === $changed) {
                throw CatalogueRefused::noSizeIsWritten();
            }
            foreach ($changed as [$die, $record]) {
                $describe($die, $record, $die->tracking);
            }

            $said = Counted::of(\count($changed), 'die cuts is', 'dies cut is');

            return Outcome::undoable($this->generateUrl('dies'), \sprintf('What %s written down.', $said));
        }, $this->page(...));
    }
}
