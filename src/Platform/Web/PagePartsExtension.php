<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Twig\Environment;
use Twig\Extension\AbstractExtension;
use Twig\Markup;
use Twig\TwigFunction;

/** The spots of pages at which areas above show something of their own. */
final class PagePartsExtension extends AbstractExtension
{
    /** @var array<string, list<PagePart>>|null */
    private ?array $spots = null;

    /** @param iterable<ShowsOnPages> $areas */
    public function __construct(#[AutowireIterator(ShowsOnPages::class)] private readonly iterable $areas)
    {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('parts_of_page', $this->shown(...), ['needs_environment' => true, 'needs_context' => true])];
    }

    /**
     * @param array<string, mixed> $context
     * @param array<string, mixed> $more what they know besides
     */
    private function shown(Environment $twig, array $context, string $spot, array $more = []): Markup|string
    {
        $html = implode("\n", array_map(
            static fn (PagePart $part): string => trim($twig->render($part->template, $more + $context)),
            $this->spots()[$spot] ?? [],
        ));

        // As Twig captures it: nothing is an empty string, which a page can ask for.
        return '' === $html ? '' : new Markup($html, 'UTF-8');
    }

    /** @return array<string, list<PagePart>> */
    private function spots(): array
    {
        if (null === $this->spots) {
            $parts = [];
            foreach ($this->areas as $area) {
                $parts = [...$parts, ...$area->onPages()];
            }
            usort($parts, static fn (PagePart $a, PagePart $b): int => $a->order <=> $b->order);
            $this->spots = [];
            foreach ($parts as $part) {
                $this->spots[$part->spot][] = $part;
            }
        }

        return $this->spots;
    }
}
