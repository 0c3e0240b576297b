<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;

/** The steps in which a design is made at the bench, once its pieces are cut and scored. */
final readonly class MakingSteps
{
    public function __construct(private LengthFormat $lengths)
    {
    }

    /** @return list<MakingStep> in order */
    public function of(Design $design): array
    {
        return match (true) {
            $design->form->hasLayers() => $this->ofCard($design),
            $design->form->hasBlocks() => $this->ofPage($design),
            default => [],
        };
    }

    /** @return list<MakingStep> */
    private function ofCard(Design $design): array
    {
        $steps = Fold::None === $design->fold ? [] : [new MakingStep('base.fold', 'Fold the base', ['base'])];
        $below = $design->form->base();
        foreach ($design->front() as $placed) {
            $layer = $placed->layer;
            array_push($steps, ...$this->before($layer));
            $steps[] = new MakingStep(
                'L'.$layer->id.'.stick',
                \sprintf('%s on the %s%s', ucfirst($layer->name), $below, $layer->isOnFoam ? ', on foam' : ''),
                ['L'.$layer->id],
                $layer->id,
            );
            $below = $layer->kind->carriesNext() ? $layer->name : $below;
        }

        return null === $design->inRole(ThingRole::Envelope) ? $steps : [...$steps, new MakingStep('envelope', 'Into its envelope', [])];
    }

    /** @return list<MakingStep> what is done to a layer before it lies on the card */
    private function before(Layer $layer): array
    {
        return array_values(array_filter([
            null === $layer->window ? null : new MakingStep('L'.$layer->id.'.window', \sprintf(
                'Cut the window %s into the %s, from its middle',
                $this->sides($layer->window),
                $layer->name,
            ), ['L'.$layer->id]),
            LayerKind::DieCut === $layer->kind ? new MakingStep('L'.$layer->id.'.die', \sprintf('Die-cut the %s', $layer->name), ['L'.$layer->id]) : null,
            $layer->isStamped ? new MakingStep('L'.$layer->id.'.stamp', \sprintf('Stamp the %s', $layer->name), ['L'.$layer->id]) : null,
        ]));
    }

    /** @return list<MakingStep> */
    private function ofPage(Design $design): array
    {
        return array_map(function (Block $block) use ($design): MakingStep {
            $parts = array_map(static fn (int $number): string => \sprintf('B%d.m%d', $block->id, $number), range(1, max(1, \count($block->mats))));
            $outer = $block->outer();
            $page = $design->finished->width;
            $isRight = 2 === $design->form->pages() && $outer->x >= $page;

            return new MakingStep('B'.$block->id.'.lay', \sprintf(
                '%s%s: %s from the left, %s from the top%s',
                ucfirst($block->name),
                [] === $block->mats ? '' : ' on '.(1 === \count($block->mats) ? 'its mat' : 'its mats'),
                $this->lengths->number(Length::ofTicks($outer->x - ($isRight ? $page : 0))),
                $this->lengths->full(Length::ofTicks($outer->y)),
                1 === $design->form->pages() ? '' : ($isRight ? ', right page' : ', left page'),
            ), [...([] === $block->mats ? [] : $parts), ...(null !== $block->paper ? ['B'.$block->id] : [])], $block->id);
        }, $design->blocks);
    }

    private function sides(Sides $sides): string
    {
        return $this->lengths->number(Length::ofTicks($sides->width)).' × '.$this->lengths->number(Length::ofTicks($sides->height));
    }
}
