<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Kits\Kits\Kit;
use App\Kits\Kits\Kits;
use App\People\Accounts\People;
use App\Platform\Security\Account;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRounds;
use Lottel\Core\Kit\Stage;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One person gives a round to another in the middle of it, who goes on where it stands. */
final class HandoverController extends Page
{
    public function __construct(
        private readonly Handovers $handovers,
        private readonly Kits $kits,
        private readonly UpkeepRounds $errands,
        private readonly People $people,
        private readonly LeftToGrownUps $left,
    ) {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/hand-over', name: 'hand_over_kit', methods: ['GET'])]
    public function kit(int $id, ?Problem $problem = null): Response
    {
        return $this->page($this->kits->one($id), null, $problem);
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/hand-over', name: 'hand_over_errand', methods: ['GET'])]
    public function errand(int $id, ?Problem $problem = null): Response
    {
        return $this->page(null, $this->errands->one($id), $problem);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/hand-over', name: 'give_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function giveKit(Request $request, int $id): Response
    {
        return $this->give($request, fn (): array => [$this->kits->one($id), null], fn (Problem $problem): Response => $this->kit($id, $problem));
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/hand-over', name: 'give_errand', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function giveErrand(Request $request, int $id): Response
    {
        return $this->give($request, fn (): array => [null, $this->errands->one($id)], fn (Problem $problem): Response => $this->errand($id, $problem));
    }

    #[Route('/handovers/{id<[0-9]{1,12}>}/take', name: 'take_on', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function take(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $handover = $this->handovers->one($id);
            $handover->take($step->who, $step->at);

            return Outcome::undoable($this->urlOf($handover->kit, $handover->errand), \sprintf('You go on with “%s”.', $handover->name()));
        }, $this->toPlan(...));
    }

    /** The giver takes it back, or the other one does not want it. */
    #[Route('/handovers/{id<[0-9]{1,12}>}/drop', name: 'drop_handover', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function drop(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $handover = $this->handovers->one($id);
            $handover->drop($step->who, $step->at);
            $isGiver = $step->who === $handover->giver;

            return Outcome::undoable(
                $isGiver ? $this->urlOf($handover->kit, $handover->errand) : $this->generateUrl('plan'),
                $isGiver ? \sprintf('You keep “%s”.', $handover->name()) : \sprintf('“%s” stays with %s.', $handover->name(), $handover->giver->name),
            );
        }, $this->toPlan(...));
    }

    /**
     * @param callable(): array{Kit|null, UpkeepRound|null} $round
     * @param callable(Problem): Response $again
     */
    private function give(Request $request, callable $round, callable $again): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($round): Outcome {
            [$kit, $errand] = $round();
            $note = $input->text('note', 200);
            $taker = $this->chosen($input);
            $input->check();
            \assert(null !== $taker);
            $handover = $this->handovers->give($step, $kit, $errand, $taker, $note);

            return Outcome::undoable($this->generateUrl('plan'), \sprintf('“%s” is handed over to %s.', $handover->name(), $taker->name));
        }, $again);
    }

    private function chosen(Input $input): ?Account
    {
        foreach ($this->others() as $person) {
            if ($person->id === $input->id('to')) {
                return $person;
            }
        }
        $input->refuse('to', 'Who goes on with it?');

        return null;
    }

    /** @return list<Account> */
    private function others(): array
    {
        return array_values(array_filter($this->people->all(), fn (Account $person): bool => $person !== $this->me()));
    }

    private function page(?Kit $kit, ?UpkeepRound $errand, ?Problem $problem): Response
    {
        return $this->render('people/handover/hand_over.html.twig', [
            'name' => $kit->name ?? $errand?->name,
            'back' => $this->urlOf($kit, $errand),
            'to_give' => null === $kit ? $this->generateUrl('give_errand', ['id' => $errand?->id]) : $this->generateUrl('give_kit', ['id' => $kit->id]),
            'handed' => null === $kit ? $this->handovers->ofErrand((int) $errand?->id) : $this->handovers->ofKit((int) $kit->id),
            'others' => $this->others(),
            'left' => $this->left->of($kit, $errand),
            'problem' => $problem,
        ]);
    }

    private function toPlan(Problem $problem): Response
    {
        return $this->forward('App\Kits\Kits\PlanController::again', ['problem' => $problem]);
    }

    private function urlOf(?Kit $kit, ?UpkeepRound $errand): string
    {
        return null === $kit
            ? $this->generateUrl('errand', ['id' => $errand?->id])
            : $this->generateUrl(match ($kit->stage()) {
                Stage::Pulling => 'pull_kit',
                Stage::Making => 'make_kit',
                Stage::Returning => 'return_kit',
                default => 'kit',
            }, ['id' => $kit->id]);
    }
}
