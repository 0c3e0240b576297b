<?php

declare(strict_types=1);

namespace App\Tests\Room\Stores;

use App\People\Accounts\Newcomer;
use App\People\Accounts\OpenRoom;
use App\Tests\RoomTestCase;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;

/** A room in which nothing is yet: every page says what comes next. */
final class EmptyRoomTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->service(OpenRoom::class)('Sail loft', LengthUnit::Inch, 'UTC', new Newcomer('olive', 'Olive', 'olives-password'));
        $this->entities()->flush();
        $this->signIn('olive');
    }

    /** @return iterable<string, array{string, string, string}> a page, what it says, and where it leads on */
    public static function pages(): iterable
    {
        yield 'plan' => ['/plan', 'Nothing is planned', 'form.new-kit'];
        yield 'pull' => ['/pull', 'No kit waits to be pulled', 'form.new-kit'];
        yield 'make' => ['/make', 'No tray is out', 'main a[href="/pull"]'];
        yield 'return' => ['/return', 'nothing is to be sent home', 'main a[href="/plan"]'];
        yield 'stores' => ['/stores', 'The room is empty', 'a[href="/stores/new-unit?like=cart"]'];
        yield 'find' => ['/find?q=tern', 'The catalogue is empty', 'main a[href="/take-in"]'];
        yield 'log' => ['/log', 'Nothing has moved yet', 'main a[href="/take-in"]'];
        yield 'the log of a place' => ['/log?text=tern', 'No line of the log fits', 'main a[href="/log"]'];
        yield 'floor plan' => ['/stores/plan', 'No unit stands here yet', 'main a[href="/stores/new-unit"]'];
        yield 'dies' => ['/stores/dies', 'There is no die in the catalogue', 'main a[href="/take-in"]'];
        yield 'queue' => ['/stores/queue', 'Everything has a home', 'aside a[href="/stores/new-unit"]'];
    }

    #[DataProvider('pages')]
    public function testAPageSaysWhatComesNext(string $path, string $says, string $leads): void
    {
        $page = $this->get($path);
        $this->assertCode(200);
        self::assertStringContainsString($says, $page->filter('main')->text());
        self::assertGreaterThan(0, $page->filter($leads)->count(), 'leads on');
        self::assertStringContainsString('No furniture stands here yet', $page->filter('.room-drawing')->text());
    }

    public function testTheFirstPieceIsLikeTheOneThatWasTouched(): void
    {
        $page = $this->browser->click($this->get('/stores')->filter('a[href="/stores/new-unit?like=cart"]')->link());
        self::assertCount(0, $this->get('/stores')->filter('.wall-large'));
        self::assertSame('cart', $page->filter('input[name="template"][checked]')->attr('value'));
        $page = $this->get('/stores/new-unit?like=sofa');
        $this->assertCode(200);
        self::assertSame('chest', $page->filter('input[name="template"][checked]')->attr('value'));
    }
}
