<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Cutting\Crease;
use Lottel\Core\Design\CardFront;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Design\Posting;
use Lottel\Core\Design\Sides;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:design', 'Takes a card apart into what is cut, and tells how thick it is and which envelope takes it.')]
final class DesignCommand extends DocumentCommand
{
    private const MOST = 10_000;
    private const MOST_ENTRIES = 1_000;

    public function answer(Document $document): array
    {
        $document->get('unit')->word(['in', 'mm']);
        $quantity = $document->get('qty')->whole(1, self::MOST);
        $finished = $document->get('finished')->object();
        $fold = Fold::from($document->get('fold')->word(array_column(Fold::cases(), 'value')));
        $layers = $this->entries($document->get('layers'));
        $envelopes = $document->has('envelopes') ? $this->entries($document->get('envelopes')) : [];
        $this->idsDiffer($envelopes);
        $scale = $this->scale($document, $finished, $layers, $envelopes);
        $sides = $this->sides($finished, $scale);
        $made = array_map(fn (Document $layer, int $index): Layer => $this->layer($layer, $index, $scale), $layers, array_keys($layers));
        $front = $this->placed($sides, $made);
        $thickness = $this->thickness($document, $fold, $layers, $made, $scale);
        $needed = Posting::needed($sides, $scale->whole($document->get('clearance')->lengthFromZero()), $thickness);
        $chosen = Posting::envelope(array_map(fn (Document $envelope): Sides => $this->sides($envelope, $scale), $envelopes), $needed);

        return [
            'pieces' => [
                $this->piece('base', $fold->flat($sides), $quantity, $fold->scores($sides), null, $scale),
                ...array_map(
                    fn (PlacedLayer $one): array => $this->piece($one->layer->name, $one->at->sides(), $quantity, [], $one->layer->window, $scale),
                    $front,
                ),
            ],
            'thickness' => $scale->unit($thickness),
            'envelope' => null === $chosen ? null : $envelopes[$chosen]->get('id')->string(),
        ];
    }

    /** @return list<Document> */
    private function entries(Document $list): array
    {
        $entries = $list->items();
        if (\count($entries) > self::MOST_ENTRIES) {
            $list->refuse(\sprintf('%d entries at the most.', self::MOST_ENTRIES));
        }

        return $entries;
    }

    /**
     * The grid on which all lengths are whole, and half the width too, at which a gate is scored, and the middle of what lies on another.
     *
     * @param list<Document> $layers
     * @param list<Document> $envelopes
     */
    private function scale(Document $document, Document $finished, array $layers, array $envelopes): OutputScale
    {
        $lengths = [
            $document->get('base_thickness')->lengthFromZero(),
            $document->get('clearance')->lengthFromZero(),
            $finished->get('w')->positiveLength()->halved(),
            $finished->get('h')->positiveLength(),
        ];
        foreach ($layers as $layer) {
            array_push($lengths, $layer->object()->get('thickness')->lengthFromZero(), ...$this->lengthsOf($layer));
        }
        foreach ($envelopes as $envelope) {
            array_push($lengths, $envelope->get('w')->positiveLength(), $envelope->get('h')->positiveLength());
        }
        if ($document->has('foam_thickness')) {
            $lengths[] = $document->get('foam_thickness')->lengthFromZero();
        }

        return OutputScale::for($lengths);
    }

    /** @return list<Ratio> */
    private function lengthsOf(Document $layer): array
    {
        $kind = $this->kindOf($layer);
        $window = LayerKind::Frame === $kind ? $layer->get('window')->object() : null;

        return [
            ...($kind->hasReveal() ? [$layer->get('reveal')->lengthFromZero()] : [$layer->get('w')->positiveLength(), $layer->get('h')->positiveLength()]),
            ...(null === $window ? [] : [$window->get('w')->positiveLength(), $window->get('h')->positiveLength()]),
        ];
    }

    private function layer(Document $layer, int $index, OutputScale $scale): Layer
    {
        $kind = $this->kindOf($layer);

        return new Layer(
            $index,
            $layer->get('name')->string(),
            $kind,
            reveal: $kind->hasReveal() ? $scale->whole($layer->get('reveal')->lengthFromZero()) : null,
            size: $kind->hasReveal() ? null : $this->sides($layer, $scale),
            window: LayerKind::Frame === $kind ? $this->sides($layer->get('window'), $scale) : null,
            isOnFoam: $layer->has('foam') && $layer->get('foam')->bool(),
        );
    }

    private function kindOf(Document $layer): LayerKind
    {
        $kinds = [LayerKind::Mat, LayerKind::Panel, LayerKind::Strip, LayerKind::Frame];

        return LayerKind::from($layer->object()->get('kind')->word(array_map(static fn (LayerKind $kind): string => $kind->value, $kinds)));
    }

    private function sides(Document $document, OutputScale $scale): Sides
    {
        return new Sides($scale->positive($document->get('w')), $scale->positive($document->get('h')));
    }

    /**
     * @param list<Layer> $layers
     *
     * @return list<PlacedLayer>
     */
    private function placed(Sides $finished, array $layers): array
    {
        try {
            return CardFront::placed($finished, $layers);
        } catch (InvalidDesign $invalid) {
            throw new InvalidDocument($invalid->field, $invalid->getMessage());
        }
    }

    /**
     * @param list<Document> $entries
     * @param list<Layer> $layers
     */
    private function thickness(Document $document, Fold $fold, array $entries, array $layers, OutputScale $scale): int
    {
        $isOnFoam = [] !== array_filter($layers, static fn (Layer $layer): bool => $layer->isOnFoam);

        return Posting::thickness(
            $fold,
            $layers,
            $scale->whole($document->get('base_thickness')->lengthFromZero()),
            array_map(static fn (Document $layer): int => $scale->whole($layer->get('thickness')->lengthFromZero()), $entries),
            $isOnFoam ? $scale->whole($document->get('foam_thickness')->lengthFromZero()) : 0,
        );
    }

    /**
     * @param list<Crease> $scores
     *
     * @return array<string, mixed>
     */
    private function piece(string $name, Sides $size, int $quantity, array $scores, ?Sides $window, OutputScale $scale): array
    {
        return [
            'name' => $name,
            'w' => $scale->unit($size->width),
            'h' => $scale->unit($size->height),
            'qty' => $quantity,
            'scores' => array_map(static fn (Crease $crease): array => ['axis' => $crease->isAlongX ? 'x' : 'y', 'at' => $scale->unit($crease->at)], $scores),
            'window' => null === $window ? null : ['w' => $scale->unit($window->width), 'h' => $scale->unit($window->height)],
        ];
    }
}
