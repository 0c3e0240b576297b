<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\PlanKit;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Kit\RefusedStage;

/** Writes down which pieces a kit wants cut, and out of which paper. */
final readonly class AskForPieces
{
    private const MOST_PIECES = 2_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Items $items,
        private NamedPapers $papers,
        private CuttingOfKit $cutting,
        private PlanCuts $plan,
        private PlanKit $planKit,
        private DesignedPieces $design,
    ) {
    }

    /**
     * @param non-empty-list<AskedPiece> $asked
     * @param Item|null $paper of the lines that name none
     *
     * @throws InvalidPieces if a line names no paper of the room, or more than one
     * @throws StepRefused if nobody has said how large the paper is
     * @throws RefusedStage if the kit is closed
     */
    public function __invoke(Kit $kit, array $asked, ?Item $paper): void
    {
        $kit->checkOpen();
        $there = $this->cutting->pieces($kit);
        foreach ($asked as $line) {
            $piece = PieceToCut::asked($kit, $this->paperOf($line, $paper), $line);
            $like = array_values(array_filter($there, static fn (PieceToCut $other): bool => $other->isLike($piece)))[0] ?? null;
            if (null === $like) {
                $this->entities->persist($piece);
                $there[] = $piece;
            } elseif ($like->quantity + $piece->quantity > AskedPiece::MOST) {
                throw InvalidPieces::quantityIsOut($line->line, AskedPiece::MOST);
            } else {
                $like->want($like->quantity + $piece->quantity);
            }
        }
        if (array_sum(array_map(static fn (PieceToCut $piece): int => $piece->quantity, $there)) > self::MOST_PIECES) {
            throw InvalidPieces::quantityIsOut('All pieces together', self::MOST_PIECES);
        }
        ($this->plan)($kit);
    }

    /**
     * Pieces that are cut ahead of time get a kit of their own, a batch.
     *
     * @param non-empty-list<AskedPiece> $asked
     */
    public function batch(Step $step, array $asked, ?Item $paper): Kit
    {
        $first = $asked[0];
        $name = \sprintf('%d × %s', $first->quantity, $first->name).(\count($asked) > 1 ? ' and more' : '').', ahead of time';
        $kit = ($this->planKit)($step, new KitDescription(ucfirst($name)));
        $this->cutting->plan($kit)->cutAhead();
        $this->entities->flush();
        $this($kit, $asked, $paper);

        return $kit;
    }

    /** So many of a piece from now on; nothing of it where that is none. */
    public function change(PieceToCut $piece, int $quantity): void
    {
        $piece->kit->checkOpen();
        $there = $this->cutting->begun($piece);
        if ($quantity < $there) {
            throw CuttingRefused::isCutAlready($piece->name, $there);
        }
        if (null !== $piece->part) {
            $this->design->cuts($piece, $quantity);

            return;
        }
        if (0 === $quantity) {
            $this->entities->remove($piece);
        } else {
            $piece->want($quantity);
        }
        ($this->plan)($piece->kit);
    }

    private function paperOf(AskedPiece $line, ?Item $otherwise): Item
    {
        $paper = '' === $line->paper ? $otherwise : $this->items->one($this->papers->named($line->paper));
        if (null === $paper) {
            throw InvalidPieces::paperIsMissing($line->line);
        }

        return $paper->checkCanBeCut();
    }
}
