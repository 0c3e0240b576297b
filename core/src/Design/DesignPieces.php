<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Takes a design apart into what is cut. */
final class DesignPieces
{
    /** @return list<DesignPiece> from the bottom up, pieces that are alike as one */
    public static function of(Design $design): array
    {
        $pieces = match (true) {
            $design->form->hasLayers() => self::ofCard($design),
            $design->form->hasBlocks() => self::ofPage($design),
            default => self::ofList($design),
        };
        $alike = [];
        foreach ($pieces as $piece) {
            $key = self::key($piece);
            $alike[$key] = isset($alike[$key]) ? self::together($alike[$key], $piece) : $piece;
        }

        return array_values($alike);
    }

    /** @return list<DesignPiece> the base first, then the layers in their order, each by itself */
    public static function ofCard(Design $design): array
    {
        $fold = $design->fold;
        $pieces = [new DesignPiece(
            'base',
            $design->form->base(),
            $fold->flat($design->finished),
            $fold->scores($design->finished),
            null,
            1,
            $design->spare,
            $design->paper,
            ['base'],
        )];
        foreach ($design->front() as $placed) {
            $layer = $placed->layer;
            $pieces[] = new DesignPiece('L'.$layer->id, $layer->name, $placed->at->sides(), [], $layer->window, 1, $layer->spare, $layer->paper, [
                'L'.$layer->id,
            ]);
        }

        return $pieces;
    }

    /** @return list<DesignPiece> */
    private static function ofPage(Design $design): array
    {
        // Without paper the blocks lie on a page that is there already.
        $pieces = null === $design->paper ? [] : [
            new DesignPiece('base', 'page', $design->finished, [], null, $design->form->pages(), $design->spare, $design->paper, ['base']),
        ];
        foreach ($design->blocks as $block) {
            foreach (array_reverse($block->matsAt()) as $number => [$at, $mat]) {
                $part = \sprintf('B%d.m%d', $block->id, $number + 1);
                $pieces[] = new DesignPiece(
                    $part,
                    $block->kind->value.' mat',
                    $at->sides(),
                    [],
                    null,
                    1,
                    $mat->spare,
                    $mat->paper,
                    [$part],
                );
            }
            // Words without paper are written on the page itself.
            if ($block->kind->isCut() && (null !== $block->paper || BlockKind::Paper === $block->kind)) {
                $pieces[] = new DesignPiece('B'.$block->id, $block->name, $block->at->sides(), [], null, 1, $block->spare, $block->paper, ['B'.$block->id]);
            }
        }

        return $pieces;
    }

    /** @return list<DesignPiece> */
    private static function ofList(Design $design): array
    {
        return array_map(
            static fn (ListedPiece $listed): DesignPiece => new DesignPiece(
                'P'.$listed->id,
                $listed->name,
                $listed->size,
                $listed->creases,
                null,
                $listed->each,
                $listed->spare,
                $listed->paper,
                ['P'.$listed->id],
            ),
            $design->listed,
        );
    }

    private static function key(DesignPiece $piece): string
    {
        return serialize([$piece->name, $piece->size, $piece->creases, $piece->window, $piece->paper]);
    }

    private static function together(DesignPiece $one, DesignPiece $other): DesignPiece
    {
        return new DesignPiece(
            $one->part,
            $one->name,
            $one->size,
            $one->creases,
            $one->window,
            $one->each + $other->each,
            $one->spare + $other->spare,
            $one->paper,
            [...$one->parts, ...$other->parts],
        );
    }
}
