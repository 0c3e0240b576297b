<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\Crease;
use Lottel\Core\Cutting\PaperWish;

/** A design as plain values, to be kept and read again. */
final class KeptDesign
{
    private const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(Design $design): array
    {
        return [
            'version' => self::VERSION,
            'form' => $design->form->value,
            'quantity' => $design->quantity,
            'finished' => self::sides($design->finished),
            'fold' => $design->fold->value,
            'paper' => self::paper($design->paper),
            'spare' => $design->spare,
            'layers' => array_map(static fn (Layer $layer): array => [
                'id' => $layer->id,
                'name' => $layer->name,
                'kind' => $layer->kind->value,
                'reveal' => $layer->reveal,
                'size' => null === $layer->size ? null : self::sides($layer->size),
                'window' => null === $layer->window ? null : self::sides($layer->window),
                'x' => $layer->x,
                'y' => $layer->y,
                'foam' => $layer->isOnFoam,
                'stamped' => $layer->isStamped,
                'paper' => self::paper($layer->paper),
                'spare' => $layer->spare,
            ], $design->layers),
            'blocks' => array_map(static fn (Block $block): array => [
                'id' => $block->id,
                'name' => $block->name,
                'kind' => $block->kind->value,
                'at' => [$block->at->x, $block->at->y, $block->at->width, $block->at->height],
                'mats' => array_map(static fn (Mat $mat): array => [$mat->reveal, self::paper($mat->paper), $mat->spare], $block->mats),
                'paper' => self::paper($block->paper),
                'spare' => $block->spare,
            ], $design->blocks),
            'listed' => array_map(static fn (ListedPiece $piece): array => [
                'id' => $piece->id,
                'name' => $piece->name,
                'size' => self::sides($piece->size),
                'each' => $piece->each,
                'creases' => array_map(static fn (Crease $crease): array => $crease->kept(), $piece->creases),
                'paper' => self::paper($piece->paper),
                'spare' => $piece->spare,
            ], $design->listed),
            'things' => array_map(static fn (DesignThing $thing): array => [$thing->item, $thing->role->value, $thing->each, $thing->total], $design->things),
            'target' => $design->target,
            'next' => $design->next,
        ];
    }

    /**
     * @param array<string, mixed> $kept
     *
     * @throws InvalidDesign if it is none
     */
    public static function read(array $kept): Design
    {
        try {
            return self::design($kept);
        } catch (\TypeError|\ValueError|\ErrorException) {
            throw InvalidDesign::isNotRead();
        }
    }

    /** @param array<string, mixed> $kept */
    private static function design(array $kept): Design
    {
        if (self::VERSION !== ($kept['version'] ?? null)) {
            throw InvalidDesign::isNotRead();
        }

        /** @var array{form: string, quantity: int, finished: array{int, int}, fold: string, paper: array{int, string}|null, spare: int,
         *     layers: list<array<string, mixed>>, blocks: list<array<string, mixed>>, listed: list<array<string, mixed>>,
         *     things: list<array{int, string, int, int}>, target: list<string>, next: int} $kept */
        return new Design(
            Form::from($kept['form']),
            $kept['quantity'],
            new Sides(...$kept['finished']),
            Fold::from($kept['fold']),
            self::choice($kept['paper']),
            $kept['spare'],
            array_map(self::layer(...), $kept['layers']),
            array_map(self::block(...), $kept['blocks']),
            array_map(self::listed(...), $kept['listed']),
            array_map(static fn (array $thing): DesignThing => new DesignThing($thing[0], ThingRole::from($thing[1]), $thing[2], $thing[3]), $kept['things']),
            $kept['target'],
            $kept['next'],
        );
    }

    /** @param array<string, mixed> $kept */
    private static function layer(array $kept): Layer
    {
        /** @var array{id: int, name: string, kind: string, reveal: int|null, size: array{int, int}|null, window: array{int, int}|null,
         *     x: int|null, y: int|null, foam: bool, stamped: bool, paper: array{int, string}|null, spare: int} $kept */
        return new Layer(
            $kept['id'],
            $kept['name'],
            LayerKind::from($kept['kind']),
            $kept['reveal'],
            null === $kept['size'] ? null : new Sides(...$kept['size']),
            null === $kept['window'] ? null : new Sides(...$kept['window']),
            $kept['x'],
            $kept['y'],
            $kept['foam'],
            $kept['stamped'],
            self::choice($kept['paper']),
            $kept['spare'],
        );
    }

    /** @param array<string, mixed> $kept */
    private static function block(array $kept): Block
    {
        /** @var array{id: int, name: string, kind: string, at: array{int, int, int, int}, mats: list<array{int, array{int, string}|null, int}>,
         *     paper: array{int, string}|null, spare: int} $kept */
        return new Block(
            $kept['id'],
            $kept['name'],
            BlockKind::from($kept['kind']),
            new Rect(...$kept['at']),
            array_map(static fn (array $mat): Mat => new Mat($mat[0], self::choice($mat[1]), $mat[2]), $kept['mats']),
            self::choice($kept['paper']),
            $kept['spare'],
        );
    }

    /** @param array<string, mixed> $kept */
    private static function listed(array $kept): ListedPiece
    {
        /** @var array{id: int, name: string, size: array{int, int}, each: int, creases: list<array{string, int}>,
         *     paper: array{int, string}|null, spare: int} $kept */
        return new ListedPiece(
            $kept['id'],
            $kept['name'],
            new Sides(...$kept['size']),
            $kept['each'],
            array_map(static fn (array $crease): Crease => new Crease('x' === $crease[0], $crease[1]), $kept['creases']),
            self::choice($kept['paper']),
            $kept['spare'],
        );
    }

    /** @return array{int, int} */
    private static function sides(Sides $sides): array
    {
        return [$sides->width, $sides->height];
    }

    /** @return array{int, string}|null */
    private static function paper(?PaperChoice $paper): ?array
    {
        return null === $paper ? null : [$paper->item, $paper->wish->value];
    }

    /** @param array{int, string}|null $kept */
    private static function choice(?array $kept): ?PaperChoice
    {
        return null === $kept ? null : new PaperChoice($kept[0], PaperWish::from($kept[1]));
    }
}
