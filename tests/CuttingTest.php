<?php

declare(strict_types=1);

namespace App\Tests;

use App\Catalogue\Item;

/** Pieces that are cut: asked for, planned out of what is free, cut at the table, logged to the square tick. */
final class CuttingTest extends RoomTestCase
{
    private Item $card;
    private Item $buoy;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card, $this->buoy] = $this->putInto(
            'C2',
            'Petrel card; ; 24; ; #1f5c6b; 8 1/2 × 11; 80 lb cover',
            'Buoy card; ; 9; ; #c8372d; 12 × 12; 80 lb cover',
        );
        [$this->card->colourName, $this->buoy->colourName] = ['Petrel', 'Buoy'];
        $this->entities()->flush();
    }

    public function testPiecesAreAskedFor(): void
    {
        $kit = $this->planKit('Ferry cards', []);
        $this->get("/kits/{$kit}/cut");
        $this->assertCode(200, $this->text());
        $page = $this->postAndFollow("/kits/{$kit}/pieces", ['pieces' => "12 A2 panels Petrel\n3 mats 4 × 5 buoy", 'paper' => '0']);
        $this->assertCode(200, $this->text());
        self::assertSame(
            [3, 1],
            [
                $this->number('SELECT to_cut FROM need WHERE item_id = ?', [$this->card->id]),
                $this->number('SELECT to_cut FROM need WHERE item_id = ?', [$this->buoy->id]),
            ],
        );
    }

    public function testAKitIsCutFromThePlanToTheTray(): void
    {
        $kit = $this->planKit('Ferry cards', []);
        $this->postAndFollow("/kits/{$kit}/pieces", ['pieces' => "12 A2 panels Petrel\n3 mats 4 × 5 buoy", 'paper' => '0']);
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach ([$this->card, $this->buoy] as $item) {
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [(string) $this->needId($kit, $item)]]);
            $this->assertCode(200, $this->text());
        }
        $page = $this->get("/kits/{$kit}/cut");
        $this->assertCode(200, $this->text());
    }
}
