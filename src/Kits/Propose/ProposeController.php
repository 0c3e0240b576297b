<?php

declare(strict_types=1);

namespace App\Kits\Propose;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\RoomReading;
use Lottel\Core\Design\Sides;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Proposal\PartOfCard;
use Lottel\Core\Proposal\Proposal;
use Lottel\Core\Year\KitTime;
use Lottel\Core\Year\KitWorkload;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Lays out cards from what lies idle. */
final class ProposeController extends Page
{
    private const USUAL = 4;
    private const MOST = 100;
    private const MOST_SWAPS = 60;

    /** So many things are fetched for a card, about. */
    private const LINES = 6;

    public function __construct(
        private readonly UnusedThings $idle,
        private readonly ItemReading $reading,
        private readonly Items $items,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/propose', name: 'propose', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        $typed = trim($request->query->getString('many', (string) self::USUAL));
        $isNumber = ctype_digit($typed) && (int) $typed >= 1 && (int) $typed <= self::MOST;
        $pieces = $isNumber ? (int) $typed : self::USUAL;
        $wants = mb_substr(trim($request->query->getString('wants')), 0, 60);
        $swaps = $this->swaps($request);
        $time = Duration::read(trim($request->query->getString('time')));
        $sides = TakeProposal::design($pieces, $this->measures->measure())->front();
        $proposals = $this->idle->proposals($pieces, $wants, $sides[1]->at->sides(), $sides[0]->at->sides())->withSwaps($swaps);
        $kits = $this->shown($proposals->proposals, $pieces, [
            PartOfCard::Panel->value => $sides[1]->at->sides(),
            PartOfCard::Mat->value => $sides[0]->at->sides(),
        ]);
        $parts = array_merge([], ...array_map(static fn (ProposedKit $kit): array => $kit->parts(), $kits));
        $places = array_map(static fn (array $part): ?int => $part[1]->homeId, $parts);

        return $this->render('kits/propose/index.html.twig', [
            'kits' => $kits,
            'many' => $pieces,
            'typed' => $typed,
            'is_number' => $isNumber,
            'most' => self::MOST,
            'wants' => $wants,
            'time' => trim($request->query->getString('time')),
            'fits' => null === $time ? null : self::fitting($pieces, $time),
            'stayed' => [] === $proposals->stayed ? null : $proposals->stayed[\count($proposals->stayed) - 1][1]->value,
            'swaps' => array_map(static fn (array $swap): string => ($swap[0] + 1).'-'.$swap[1]->value, $swaps),
            'lit' => $this->room->lit($places),
            'problem' => $problem,
        ]);
    }

    #[Route('/propose', name: 'take_proposal', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function take(Request $request, TakeProposal $take): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($take): Outcome {
            $pieces = $input->whole('many', 1, self::MOST);
            $wants = $input->text('wants', 60);
            $panel = $this->chosen($input, PartOfCard::Panel->value);
            $mat = $this->chosen($input, PartOfCard::Mat->value);
            $things = $this->items->several($input->list('things'), 20);
            $input->check();
            $kit = $take($step, $pieces, $wants, $panel, $mat, $things);

            return Outcome::undoable(
                $this->generateUrl('design', ['id' => $kit->id]),
                \sprintf('“%s” is planned, with its design. Of which paper is the base?', $kit->name),
            );
        }, fn (Problem $problem): Response => $this->page($request, $problem));
    }

    private function chosen(Input $input, string $field): ?Item
    {
        return $input->isEmpty($field) ? null : $this->items->one($input->id($field))->checkCanBeCut();
    }

    /** @return list<array{int, PartOfCard}> which proposal, from 0, and which part of it, as `1-panel,3-ink` */
    private function swaps(Request $request): array
    {
        $swaps = [];
        foreach (\array_slice(explode(',', $request->query->getString('swap')), 0, self::MOST_SWAPS) as $swap) {
            [$number, $name] = explode('-', $swap, 2) + ['', ''];
            $part = PartOfCard::tryFrom($name);
            if (null !== $part && ctype_digit($number) && (int) $number >= 1) {
                $swaps[] = [(int) $number - 1, $part];
            }
        }

        return $swaps;
    }

    /**
     * @param list<Proposal> $proposals
     * @param array<string, Sides> $sides of the papers, by PartOfCard
     *
     * @return list<ProposedKit>
     */
    private function shown(array $proposals, int $pieces, array $sides): array
    {
        $all = array_merge([], ...array_map(static fn (Proposal $one): array => $one->things(), $proposals));
        $things = [];
        foreach ([] === $all ? [] : $this->reading->lines($all) as $line) {
            $things[$line->id] = $line;
        }
        $minutes = self::minutes($pieces);

        return array_map(fn (Proposal $one): ProposedKit => new ProposedKit(
            $one,
            array_filter($things, static fn (ThingLine $line): bool => \in_array($line->id, $one->things(), true)),
            $minutes,
            $this->usedUp($one, $pieces, $sides),
        ), $proposals);
    }

    /**
     * @param array<string, Sides> $sides
     *
     * @return array<string, int|null> by PartOfCard
     */
    private function usedUp(Proposal $proposal, int $pieces, array $sides): array
    {
        $uses = [PartOfCard::Embellishment->value => null === $proposal->part(PartOfCard::Embellishment) ? null : $pieces];
        foreach ($sides as $part => $side) {
            $paper = $proposal->parts[$part] ?? null;
            $uses[$part] = null === $paper || $paper->isScrap ? null : $this->idle->sheets($this->items->one($paper->id), $side, $pieces);
        }

        return $uses;
    }

    /** Returns how many of so many cards a time is enough for. */
    private static function fitting(int $pieces, Duration $time): int
    {
        while ($pieces > 0 && self::minutes($pieces) > $time->minutes) {
            --$pieces;
        }

        return $pieces;
    }

    private static function minutes(int $pieces): int
    {
        return KitTime::estimated(new KitWorkload($pieces, 'card', true, 0, self::LINES, 2 * $pieces), [])->minutes;
    }
}
