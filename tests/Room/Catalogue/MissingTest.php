<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;

final class MissingTest extends RoomTestCase
{
    public function testTheShortfallsOfAllKitsTogetherAreOneList(): void
    {
        $this->furnish();
        [$card, $mat, $enough] = $this->putInto('C2', 'White card; Marrowlight Paper; 10', '=Petrel mats; ; 6', 'Kraft; ; 50');
        [$stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        self::assertStringContainsString('Nothing is missing', $this->get('/missing')->text());
        $gulls = $this->planKit('Gulls', [[$card, 8], [$mat, 6], [$enough, 10], [$stamps, 1]]);
        $this->planKit('Menus', [[$card, 8], [$mat, 2], [$stamps, 1]]);
        $this->postAndFollow("/year/kits/{$gulls}", ['due_on' => '2030-03-13', 'time' => '', 'drying_days' => '', 'ready_from' => '']);
        $plain = static fn (Crawler $row): string => preg_replace('/\s+/', ' ', $row->text()) ?? '';
        $rows = static fn (Crawler $page): array => $page->filter('.row')->each($plain);
        self::assertSame([
            '=Petrel mats for Gulls, Menus, due 13 Mar 2 8 wanted, 6 there',
            'White card Marrowlight Paper, for Gulls, Menus, due 13 Mar 6 16 wanted, 10 there',
        ], $rows($this->get('/missing')), 'each kit alone could have been made; together there is too little. One set of stamps serves both.');
        $this->postAndFollow("/items/{$card->id}/price", ['price' => '9.80', 'quantity' => '100', 'shop' => 'Chandlery', 'day' => '']);
        $text = $this->get('/missing')->text();
        self::assertStringContainsString('About 0.59 at the last prices, without 1 thing of which no price is known', $text);
        self::assertStringContainsString('about 0.59 at Chandlery', $text);
        $this->get('/missing.csv');
        $csv = (string) $this->browser->getResponse()->getContent();
        self::assertStringContainsString('"White card","Marrowlight Paper",6,16,10,"Gulls, Menus",2030-03-13,0.59,Chandlery', $csv);
        self::assertStringContainsString("'=Petrel mats", $csv, 'no formula');
        $this->postAndFollow("/kits/{$gulls}/delete");
        self::assertStringContainsString('Nothing is missing', $this->get('/missing')->text());
    }
}
